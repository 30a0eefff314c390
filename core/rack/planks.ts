import type { BatchSummary } from '#contracts/batch'
import type { RackStage, Standing } from './standing'

/**
 * The plank a batch stands on: the mantle holds only what was tested or is trusted by its weights; what has cured untested waits
 * on the plank below.
 * @example plankOf(cut, { stage: 'ready' }) // 'last-weeks'
 */
export function plankOf(
  { facts }: Pick<BatchSummary, 'facts'>,
  { stage }: Pick<Standing, 'stage'>,
): RackStage {
  const { state } = facts.usable
  return stage === 'ready' && state !== 'usable' && state !== 'trusted' ? 'last-weeks' : stage
}
