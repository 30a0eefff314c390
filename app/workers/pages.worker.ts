import { expose } from 'comlink'
import type { PageFound } from '#contracts/journal'
import type { Fat } from '#core/materials/fat'
import type { Library } from '#core/materials/library'
import type { Additive } from '#core/materials/additives'
import type { Liquid } from '#core/materials/liquids'
import { readPage, type PageContext } from '#core/journal/page'
import { formatter } from '#core/units/formatter'

const say = formatter()

/** What pages are read with, as a worker can be sent it. */
export interface SentContext extends Omit<PageContext, 'library'> {
  fats: Fat[]
  liquids: Liquid[]
  additives: Additive[]
  spoons: Library['spoons']
}
const byId = <T extends { id: string }>(list: readonly T[]) =>
  new Map(list.map((one) => [one.id, one]))

/** Reads many pages away from the screen, so that it stays free. */
const api = {
  read(typed: readonly string[], sent: SentContext): PageFound[] {
    const { fats, liquids, additives, spoons, ...rest } = sent
    const library: Library = {
      fats: byId(fats),
      liquids: byId(liquids),
      additives: byId(additives),
      spoons,
    }
    return typed.map((text) => readPage(text, { ...rest, library }, say).found)
  },
}
export type PagesWorker = typeof api
expose(api)
