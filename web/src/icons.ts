/** The icons that the components in use ask for, by the names that they have for them; each is a part of the first load. */
import {
  mdiArrowDown,
  mdiArrowUp,
  mdiCheck,
  mdiCheckboxBlankOutline,
  mdiCheckboxMarked,
  mdiChevronDown,
  mdiChevronLeft,
  mdiChevronRight,
  mdiChevronUp,
  mdiCloseCircle,
  mdiMenuDown,
  mdiMinusBox,
  mdiRadioboxBlank,
  mdiRadioboxMarked,
} from '@mdi/js'

const paths = {
  checkboxIndeterminate: mdiMinusBox,
  checkboxOff: mdiCheckboxBlankOutline,
  checkboxOn: mdiCheckboxMarked,
  clear: mdiCloseCircle,
  collapse: mdiChevronUp,
  complete: mdiCheck,
  delete: mdiCloseCircle,
  dropdown: mdiMenuDown,
  expand: mdiChevronDown,
  next: mdiChevronRight,
  prev: mdiChevronLeft,
  radioOff: mdiRadioboxBlank,
  radioOn: mdiRadioboxMarked,
  sortAsc: mdiArrowUp,
  sortDesc: mdiArrowDown,
}

export const ICONS = Object.fromEntries(Object.entries(paths).map(([name, path]) => [name, `svg:${path}`]))
