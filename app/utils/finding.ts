import type { Thumbnail } from '#contracts/thumbnail'
import { plainWord } from '#core/materials/tokens'

/** Something that can be done with a thing. */
export interface Verb {
  /** As it is typed: weigh, turn, print. */
  word: string
  /** Other words for the same. */
  also?: readonly string[]
  act: () => unknown
  /** Why it cannot be done now; not there where it can. */
  whyNot?: string
}
/** Something that can be found: a batch, a formula, a material, a page. */
export interface Thing {
  id: string
  name: string
  /** What it is, beside its name; found by too. */
  also: string
  thumbnail?: Thumbnail | null
  /** What is done with it, the usual first. */
  verbs: readonly Verb[]
}
export interface Found {
  thing: Thing
  /** Place in the verbs of what Enter does. */
  verb: number
}
export interface Finding {
  /** The word that was read as something to do, as it was typed; empty where none was. */
  verb: string
  /** What was read as part of names. */
  names: string[]
  /** With that verb, what can be done first. */
  doIt: Found[]
  /** Called so, whatever is done with it. */
  called: Found[]
}

/**
 * Whether all words of what is typed are in a text, in any order: capitals, accents and marks do not matter. Made once for what is
 * typed, asked of each.
 * @param plain how both are told in plain letters
 */
export function hasWords(typed: string, plain = plainWord): (text: string) => boolean {
  const words = plain(typed).split(/\s+/).filter(Boolean)
  return (text) => {
    const among = words.length ? plain(text) : ''
    return words.every((word) => among.includes(word))
  }
}

const wordsOf = (text: string) =>
  plainWord(text)
    .split(/[\s,.()]+/)
    .filter(Boolean)
/** Letters from which on the beginning of a verb is one. */
const least = 3

/** Whether a verb is meant: by its whole word, or by its beginning where that is not part of what things are called. */
const means = ({ word, also = [] }: Verb, typed: string, begun: boolean) =>
  [word, ...also].some((one) => {
    const plain = plainWord(one)
    return plain === typed || (begun && typed.length >= least && plain.startsWith(typed))
  })

/** How well a name fits what was typed: 0 it is it, 1 it begins with it, 2 a word of it does, 3 within; null not at all. */
function fit({ name, also }: Thing, typed: readonly string[]): number | null {
  const own = wordsOf(name)
  const all = [...own, ...wordsOf(also)]
  if (!typed.every((word) => all.some((one) => one.includes(word)))) return null
  const [first] = typed
  if (own.join(' ') === typed.join(' ')) return 0
  if (!first || own.join(' ').startsWith(typed.join(' '))) return 1
  return own.some((one) => one.startsWith(first)) ? 2 : 3
}

/**
 * What a typed line finds: things by their names, and with a verb in it what is to be done with them.
 * @param most of each group
 */
export function findIn(things: readonly Thing[], line: string, most = 6): Finding {
  const words = wordsOf(line)
  const fitting = (typed: readonly string[]) =>
    things
      .flatMap((thing) => {
        const rank = fit(thing, typed)
        return rank === null ? [] : [{ thing, rank }]
      })
      .sort((a, b) => a.rank - b.rank)
  const named = fitting(words).map(({ thing }) => ({ thing, verb: 0 }))
  for (const [place, typed] of words.entries()) {
    const names = words.filter((_, index) => index !== place)
    const able = fitting(names).flatMap(({ thing }) => {
      const verb = thing.verbs.findIndex((one) => means(one, typed, !named.length))
      return verb < 0 ? [] : [{ thing, verb }]
    })
    if (!able.length) continue
    const can = ({ thing, verb }: Found) => thing.verbs[verb]!.whyNot === undefined
    const doIt = [...able.filter(can), ...able.filter((one) => names.length > 0 && !can(one))]
    if (!doIt.length) continue
    const taken = new Set(doIt.map(({ thing }) => thing.id))
    const others = names.length ? fitting(names).map(({ thing }) => ({ thing, verb: 0 })) : []
    const called = [...named, ...others].filter(({ thing }) => !taken.has(thing.id))
    const once = new Map(called.map((one) => [one.thing.id, one]))
    return {
      verb: typed,
      names,
      doIt: doIt.slice(0, most),
      called: [...once.values()].slice(0, most),
    }
  }
  return { verb: '', names: words, doIt: [], called: named.slice(0, most * 2 - 2) }
}
