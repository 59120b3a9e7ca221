/** Imports run one way: between the parts of the project, and between the rooms of core. */
import { LAYERS } from './scripts/lib/layers.mjs'

export default {
  forbidden: LAYERS,
  options: {
    doNotFollow: { path: ['node_modules', 'dist'] },
    exclude: { path: ['/dist/', '^\\.data/'] },
    tsPreCompilationDeps: true,
    // The parts know each other by the names of their packages.
    enhancedResolveOptions: { exportsFields: ['exports'], conditionNames: ['import', 'default'] },
  },
}
