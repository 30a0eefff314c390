import type { BlendKind, CountWhy, HeldWhy, VesselForm } from '#contracts/storeWords'
import type { KeptMove } from '#contracts/store'
import type { LotFlag } from '#core/stores/stock'
import type { Formatter } from '#core/units/formatter'
import { inSentence } from '#core/units/language'

export const vesselNames: Record<VesselForm, string> = {
  bottle: 'bottle',
  jar: 'jar',
  bucket: 'bucket',
  drum: 'drum',
  can: 'can',
  sack: 'sack',
  box: 'box',
  packet: 'packet',
}
export const heldNames: Record<HeldWhy, string> = {
  recalled: 'Called back by its supplier',
  smells: 'It smells off',
  waits: 'Waits for its paper',
}
export const countNames: Record<CountWhy, string> = {
  batch: 'It went into a batch',
  spilled: 'Spilled',
  unwritten: 'Taken, not written',
  'other-vessel': 'Another vessel',
  unknown: 'Don’t know',
}
export const blendNames: Record<BlendKind, string> = {
  oils: 'Oils',
  lye: 'Lye solution',
  coloured: 'Coloured oil',
}

/** What is to be minded of a lot, as its flag says it. */
export function flagText(flag: LotFlag, say: Formatter, on: (days: number) => string): string {
  switch (flag.kind) {
    case 'held':
      return flag.why === 'recalled' ? 'held, called back' : 'held'
    case 'overdrawn':
      return `${say.amount(flag.grams)} too much drawn`
    case 'expired':
      return `over since ${on(-flag.days)}`
    case 'use-by':
      return `use by ${on(flag.days)}`
    case 'rancid':
      return `rancid: peroxide ${say.number(flag.peroxide, 0, 1)}`
    case 'stale':
      return `peroxide ${say.number(flag.peroxide, 0, 1)}`
    case 'open-long':
      return `open ${say.number(Math.round(flag.days / 30.4))} months`
  }
}
/** Flags that stop, in red. */
export const stops = ({ kind }: LotFlag): boolean => kind === 'held' || kind === 'rancid'

/** What a move was, in one line. */
export function moveText({ kind, why, about, undoes, note }: KeptMove, into: string): string {
  switch (kind) {
    case 'came':
      return 'Came in'
    case 'drawn':
      return into || note || 'Taken out'
    case 'counted':
      if (into) return `Counted: ${into}`
      return `${about ? 'Judged by eye' : 'Counted'}${why ? `: ${inSentence(countNames[why])}` : ''}${note ? `, ${note}` : ''}`
    case 'spilled':
      return note ? `Spilled: ${note}` : 'Spilled'
    case 'thrown':
      return note ? `Thrown away: ${note}` : 'Thrown away'
    case 'back':
      return note ? `Given back: ${note}` : 'Given back'
    case 'undone':
      return undoes ? 'Taken back' : ''
  }
}

/** A name as the id of a made-up stock: small letters and digits joined by hyphens. */
export const slugOf = (name: string): string =>
  name
    .normalize('NFD')
    .replace(/\p{M}/gu, '')
    .toLowerCase()
    .replace(/[^a-z0-9]+/g, '-')
    .replace(/^-|-$/g, '')
    .slice(0, 60)
