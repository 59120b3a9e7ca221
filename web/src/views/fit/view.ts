import type { View } from '../view.ts'
import FitView from './FitView.vue'

/** The view that answers most questions: it comes with the page. */
export const VIEWS: readonly View[] = [
  {
    name: 'fit',
    path: '/jobs/:jobId/fit',
    place: 'Jobs',
    help: [
      'The chain shows what each part can carry. The weld needs the current marked on it.',
      'The weakest link is named first. Below it are ways to fix it, start settings and what the job uses.',
      'Press any figure to see how it was calculated and from which source.',
    ],
    title: 'Fit',
    component: FitView,
  },
]
