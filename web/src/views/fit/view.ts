import type { View } from '../view.ts'
import FitView from './FitView.vue'

/** The first view that most people see: it comes with the page. */
export const VIEWS: readonly View[] = [
  { name: 'fit', path: '/fit/:jobId?', place: { title: 'Fit' }, component: FitView },
]
