import type { RunSetup } from '#contracts/run'
import type { Workshop } from '#contracts/workshop'

/** How a run begins in this workshop before anybody changes anything. */
export const usualRunSetup = ({ bench }: Pick<Workshop, 'bench'>): RunSetup => ({
  roomC: 20,
  scaleMax: 5000,
  guardC: 38,
  thermometer: true,
  meltBy: 'stove',
  oilsOntoLye: false,
  divide: null,
  order: [],
  leftOut: [],
  own: [],
  ...bench,
})
