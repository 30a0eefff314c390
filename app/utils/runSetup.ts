import { usualSetup } from '#contracts/benchWords'
import { setupSchema, type RunSetup } from '#contracts/run'
import type { Workshop } from '#contracts/workshop'

/** How a run begins in this workshop before anybody changes anything. */
export const usualRunSetup = ({ bench }: Pick<Workshop, 'bench'>): RunSetup => ({
  ...usualSetup,
  ...bench,
})

/** Where a plan that was arranged before its start stays on this device. */
export const planKey = (batchId: string): string => `mantle-plan:${batchId}`
/** How a batch is to be made: as somebody arranged it here, or as this workshop usually begins. */
export const arrangedSetup = (batchId: string, workshop: Pick<Workshop, 'bench'>): RunSetup =>
  keptHere(planKey(batchId), bySchema(setupSchema)) ?? usualRunSetup(workshop)
