import { expose } from 'comlink'
import loadHighs from 'highs'
import wasm from 'highs/runtime?url'
import { findFormula, priceCurve, type Solver } from '#core/finder/find'
import type { Wish } from '#core/finder/wish'
import type { Fat } from '#core/materials/fat'
import { packsFor, type Pack, type Wanted } from '#core/stores/shopping'
import type { Library } from '#core/materials/library'

async function solver(): Promise<Solver> {
  const highs = await loadHighs({ locateFile: () => wasm })
  return (programme) => {
    const { Status, Columns } = highs.solve(programme)
    const values = Object.entries(Columns).map(
      ([name, column]) => [name, 'Primal' in column ? column.Primal : 0] as const,
    )
    return { found: Status === 'Optimal', values: Object.fromEntries(values) }
  }
}
let loading: Promise<Solver> | undefined
const libraryOfFats = (fats: Fat[]): Library => ({
  fats: new Map(fats.map((fat) => [fat.id, fat])),
  liquids: new Map(),
  additives: new Map(),
})

const api = {
  async find(wish: Wish, fats: Fat[]) {
    const solve = await (loading ??= solver())
    return findFormula(wish, libraryOfFats(fats), solve)
  },
  /** The packs that cover each of some needs for the least money. */
  async buy(asked: (Wanted & { packs: Pack[] })[]) {
    const solve = await (loading ??= solver())
    return asked.map(({ need, packs, usedLater, most }) =>
      packsFor(need, packs, usedLater, most, solve),
    )
  },
  async curve(wish: Wish, fats: Fat[]) {
    const solve = await (loading ??= solver())
    return priceCurve(wish, libraryOfFats(fats), solve)
  },
}
export type FinderWorker = typeof api
expose(api)
