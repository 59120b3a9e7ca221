import type { View } from '../view.ts'
import FitView from './FitView.vue'

/** The view that answers most questions: it comes with the page. */
export const VIEWS: readonly View[] = [
  {
    name: 'fit',
    path: '/jobs/:jobId/fit',
    place: 'Jobs',
    title: 'Fit',
    component: FitView,
  },
]
