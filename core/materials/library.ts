import type { Offsets } from '#contracts/learning'
import type { Colour } from '#contracts/colour'
import type { KnownScent } from '#contracts/scent'
import type { SpoonKind } from '#contracts/words'
import { additives, type Additive } from './additives'
import type { Fat } from './fat'
import { hardFats } from './hardFats'
import { liquidOils } from './liquidOils'
import { rareOils } from './rareOils'
import { liquids, type Liquid } from './liquids'
import { inOrder } from '../units/formatter'

export type Material = Fat | Liquid | Additive

/** What formulas may name, by id. */
export interface Library {
  fats: ReadonlyMap<string, Fat>
  liquids: ReadonlyMap<string, Liquid>
  additives: ReadonlyMap<string, Additive>
  /** Scents of the workshop, with what was found of them; those that only have a name are in no record. */
  scents?: ReadonlyMap<string, KnownScent>
  /** What the workshop knows of its colourants, by the id of the extra. */
  colours?: ReadonlyMap<string, Colour>
  /** Which spoons amounts are measured with here; US ones unless the workshop says otherwise. */
  spoons?: SpoonKind
  /** What the workshop's own records move forecasts by. */
  offsets?: Offsets
}

const byId = <T extends { id: string }>(list: T[]) => new Map(list.map((item) => [item.id, item]))

/** The library that ships with Mantle. */
export const library: Library = {
  fats: byId([...liquidOils, ...hardFats, ...rareOils].sort((a, b) => inOrder(a.name, b.name))),
  liquids: byId(liquids),
  additives: byId(additives),
}
