import type { SpoonKind } from '#contracts/words'
import { amountsIn, type FoundAmount } from '../words/amount'
import { isFiller } from '../words/materialNames'
import { tokensOf, type Token } from '../materials/tokens'

/* A recipe as people write it, cut into pieces that each tell of one thing. Nothing is dropped but bullets. */

const real = (found: FoundAmount[]) => found.filter(({ amount }) => amount.kind !== 'other')

/** Whether a stretch of text holds an amount, and whether it names something. */
function holds(text: string, spoons: SpoonKind) {
  const tokens = tokensOf(text)
  const found = amountsIn(tokens, spoons)
  const named = tokens.some(
    (token, index) =>
      token.kind === 'word' &&
      !isFiller(token.text) &&
      !found.some(({ from, to }) => index >= from && index <= to),
  )
  return { amount: real(found).length > 0, named }
}

/** Cuts at commas where both sides tell of something of their own; "olive oil, organic, 500 g" stays whole. */
function byCommas(text: string, spoons: SpoonKind): string[] {
  const pieces: string[] = []
  let before = { amount: false, named: false }
  for (const part of text.split(/,(?!\d)/)) {
    const here = holds(part, spoons)
    const joins = before.amount
      ? !here.named && !here.amount
      : !here.named || (!here.amount && before.named && pieces.length > 0)
    if (pieces.length && joins) {
      pieces[pieces.length - 1] += `,${part}`
      before = { amount: before.amount || here.amount, named: before.named || here.named }
    } else {
      pieces.push(part)
      before = here
    }
  }
  return pieces
}

interface Group {
  amounts: boolean
  start: number
  end: number
}

/** Cuts "60% lard 40% coconut 800 grams" into its three; a line about one thing with two amounts stays whole. */
function byAmounts(text: string, spoons: SpoonKind): string[] {
  const tokens = tokensOf(text)
  const coconut = (token: Token | undefined) =>
    token?.value === 76 && tokens.some(({ text: word }) => word === 'coconut')
  const found = real(amountsIn(tokens, spoons)).filter(({ from }) => !coconut(tokens[from]))
  if (found.length < 2) return [text]
  const groups: Group[] = []
  for (let index = 0; index < tokens.length; index++) {
    const token = tokens[index]!
    const amount = found.find(({ from, to }) => index >= from && index <= to)
    if (amount) {
      if (groups.at(-1)?.amounts) groups.at(-1)!.end = amount.end
      else groups.push({ amounts: true, start: amount.start, end: amount.end })
      index = amount.to
    } else if (token.kind === 'word' && !isFiller(token.text)) {
      if (groups.at(-1)?.amounts === false) groups.at(-1)!.end = token.end
      else groups.push({ amounts: false, start: token.start, end: token.end })
    }
  }
  const names = groups.filter(({ amounts }) => !amounts)
  const sums = groups.filter(({ amounts }) => amounts)
  if (names.length < 2 || sums.length < 2) return [text]
  const amountFirst = groups[0]!.amounts
  const starts = groups
    .filter(({ amounts }, index) => index === 0 || amounts === amountFirst)
    .map(({ start }) => start)
  return starts.map((start, index) =>
    text.slice(index === 0 ? 0 : start, starts[index + 1] ?? text.length),
  )
}

/**
 * The pieces of a recipe: by line, semicolon or bullet, by comma, by "and" before a number, by amounts that follow each other.
 * @example piecesOf('500 g olive oil, 200 g coconut') // ['500 g olive oil', '200 g coconut']
 */
export function piecesOf(text: string, spoons: SpoonKind = 'us'): string[] {
  return text
    .split(/[\n;•·|\t]/)
    .flatMap((line) => byCommas(line, spoons))
    .flatMap((line) => line.split(/(?<=\p{L}\)?)\s+(?:and|plus|\+|&)\s+(?=\d|½|¼|¾|a\s)/iu))
    .flatMap((line) => byAmounts(line, spoons))
    .map((piece) =>
      piece
        .replace(/^\s*(?:[-*–—+]\s+|\d+[.)]\s+)/, '')
        .replace(/^[\s,.:]+|[\s,;:]+$/g, '')
        .trim(),
    )
    .filter((piece) => /[\p{L}\d]/u.test(piece))
}
