/** The words for welding in several passes: what has no groove yet must be bevelled first. */
import type { Joint } from '../model/job.ts'

export const inPasses = ({ kind }: Pick<Joint, 'kind'>, passes: number): string =>
  kind === 'square' ? `Bevel and weld in ${passes} passes` : `Weld in ${passes} passes`
