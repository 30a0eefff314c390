import type { LessonAbout } from '#contracts/rackWords'
import type { Step, StepKind } from './step'

/** The steps of a plan that a lesson concerns, by what of the work it is about. */
const steps: Record<LessonAbout, readonly StepKind[]> = {
  ready: ['safety-check', 'do'],
  weighing: ['weigh', 'check'],
  lye: ['dissolve', 'cool'],
  temperatures: ['melt', 'cool', 'meet'],
  batter: ['combine', 'batter', 'stir-in'],
  pour: ['pour'],
  cover: ['cover'],
  cut: [],
}

/**
 * Whether a lesson stands at a step of the next plan; one that is about nothing in particular stands at the beginning.
 * @example lessonAt('pour', { kind: 'pour' }) // true
 */
export const lessonAt = (about: LessonAbout | null, { kind }: Pick<Step, 'kind'>): boolean =>
  about === null ? kind === 'safety-check' : steps[about].includes(kind)
