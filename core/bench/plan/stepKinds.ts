import type { VesselKind } from '#contracts/benchWords'
import type { Step, StepKind } from './step'

/** All that Mantle knows of a kind of step besides what a plan says of it. */
export interface StepKindWords {
  /** What of the bench shows it. */
  view: 'safety-check' | 'weigh' | 'heat' | 'spoons' | 'check' | 'batter' | 'pour' | 'do'
  /** What is normal at it, and what is not. */
  normal?: { normal: string; not: string }
  /** Vessels whose temperature is written down when it is done. */
  reads?: readonly VesselKind[]
  /** What to press, for a first-timer at a rehearsal. `warm`: the lye is still above its window. */
  voice: string | ((warm: boolean) => string)
}

const waiting = (warm: boolean): string =>
  warm
    ? 'Waiting is part of it: the curves show when both are ready. F lets ten minutes pass.'
    : 'The figures are green when both are in their window. Then Space.'
const simply = 'Do it, then press Space.'

/** Every kind of step. */
export const stepKinds: Record<StepKind, StepKindWords> = {
  'safety-check': {
    view: 'safety-check',
    voice: 'Read each point aloud, do it, press Space. In real life no lye before the last one.',
  },
  do: { view: 'do', voice: simply },
  weigh: {
    view: 'weigh',
    voice:
      'Here you pour with P (to just short) and D (the last drops). Watch the figure enter the green band; Space takes it.',
  },
  dissolve: {
    view: 'heat',
    normal: {
      normal: 'Cloudy, steaming, then clear. It climbs fast.',
      not: 'Grit that stays, or a jug far from the heat that is foretold.',
    },
    voice: 'Press P: the lye goes into the water. Watch the jug climb. When it has peaked, Space.',
  },
  cool: { view: 'heat', voice: waiting },
  melt: {
    view: 'do',
    reads: ['oils'],
    voice:
      'Press P to put the pan on the stove, then Space when it is melted. You need not wait for it here.',
  },
  'stir-in': {
    view: 'do',
    normal: {
      normal: 'Scent floats first, then goes under. Colour streaks away.',
      not: 'Rice grains, a seizing lump, streaks of dry pigment.',
    },
    voice: simply,
  },
  meet: { view: 'heat', voice: waiting },
  check: {
    view: 'check',
    voice:
      'Each vessel on the scale once more: a line that was forgotten or put in twice shows now, while it can still be mended.',
  },
  combine: {
    view: 'do',
    normal: {
      normal: 'Cloudy at once, streaks, liquid on top for a while.',
      not: 'Grains or porridge in the first seconds: stop, feel how cold it is.',
    },
    reads: ['lye', 'oils'],
    voice:
      'Lye into the oils, never the reverse. Space when it is in: the clock of the batter starts.',
  },
  batter: {
    view: 'batter',
    normal: {
      normal: 'Darker for a moment, a shine, a slow ribbon.',
      not: 'Dull and grainy, oil or lye weeping when left alone.',
    },
    voice:
      'B starts and ends the blender. Press the number of what you see: 1 cloudy, 2 emulsion, and on.',
  },
  pour: {
    view: 'pour',
    normal: {
      normal: 'It levels itself; bubbles come up when tapped.',
      not: 'An uncoloured pot that has parted while it waited: stir it first.',
    },
    voice: 'Low and slow, then tap the mould. Space.',
  },
  cover: { view: 'do', voice: simply },
  rinse: { view: 'do', voice: simply },
}

/** What is normal where milk takes the lye. */
const milkDissolving = {
  normal: 'Yellow, thick, a little curdled.',
  not: 'Orange or brown, a smell of burnt milk: stop and cool it.',
}
/**
 * What is normal at a step, and what is not; null where nothing is to be said.
 * @example normalAt({ kind: 'dissolve' }).normal // 'Cloudy, steaming, then clear. It climbs fast.'
 */
export function normalAt({ kind, watch }: Step): { normal: string; not: string } | null {
  if (kind === 'dissolve' && watch) return milkDissolving
  if (kind === 'stir-in' && watch) return watch.vessel === 'lye' ? milkDissolving : null
  return stepKinds[kind].normal ?? null
}

/**
 * What of the bench shows a step: one that watches a temperature while something goes in shows the heat, lye into milk its spoons.
 * @example viewOf({ kind: 'weigh' }) // 'weigh'
 */
export const viewOf = ({ kind, watch }: Step): StepKindWords['view'] =>
  !watch
    ? stepKinds[kind].view
    : kind === 'stir-in'
      ? 'heat'
      : kind === 'dissolve'
        ? 'spoons'
        : stepKinds[kind].view
