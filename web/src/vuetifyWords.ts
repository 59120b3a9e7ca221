/** What Vuetify says by itself, for the components that are used here; its own list has those of all of them. */
export default {
  open: 'Open',
  close: 'Close',
  loading: 'Loading…',
  noDataText: 'Nothing there',
  input: {
    clear: 'Clear {0}',
    prependAction: '{0} prepended action',
    appendAction: '{0} appended action',
  },
  dataTable: {
    ariaLabel: {
      sortDescending: 'Sorted descending.',
      sortAscending: 'Sorted ascending.',
      sortNone: 'Not sorted.',
      activateNone: 'Activate to remove sorting.',
      activateDescending: 'Activate to sort descending.',
      activateAscending: 'Activate to sort ascending.',
      selectRow: 'Select row',
      selectAll: 'Select all',
      selectGroup: 'Select group',
    },
    sortBy: 'Sort by',
  },
  dataIterator: { noResultsText: 'Nothing found', loadingText: 'Loading…' },
}
