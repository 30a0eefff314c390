import { usualSetup } from '#contracts/benchWords'
import type { RunSetup } from '#contracts/run'
import type { Workshop } from '#contracts/workshop'

/** How a run begins in this workshop before anybody changes anything. */
export const usualRunSetup = ({ bench }: Pick<Workshop, 'bench'>): RunSetup => ({
  ...usualSetup,
  ...bench,
})
