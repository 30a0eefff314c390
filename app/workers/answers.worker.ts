import { expose } from 'comlink'
import type { Asked, BatchRecord } from '#contracts/learning'
import { answerOf, nextTo, type Answer, type AnswerContext } from '#core/learning/answer'
import { pairOf, type PairAnswer } from '#core/learning/pair'
import { formatter, type FormatterChoice } from '#core/units/formatter'

/** An answer as it can be sent: its figures by their ids. */
export type SentAnswer = Omit<Answer, 'cause' | 'outcome' | 'axis'> & { axisId: string }
export type SentPair = Omit<PairAnswer, 'outcome'> & { outcomeId: string | null }

const sent = ({ cause: _, outcome: __, axis, ...rest }: Answer): SentAnswer => ({
  ...rest,
  axisId: axis.id,
})

let records: readonly BatchRecord[] = []
let context: AnswerContext = { names: new Map(), today: '', say: formatter() }

let last: Answer | null = null

/** Answers questions to own records away from the screen: twenty years of them may take a second. */
const api = {
  /** What is asked from now on. */
  know(
    all: readonly BatchRecord[],
    names: readonly [string, string][],
    today: string,
    said: FormatterChoice,
  ): void {
    records = all
    context = { names: new Map(names), today, say: formatter(said) }
  },
  /** @param own other records than all, as those of a version */
  answer(asked: Asked, own: readonly BatchRecord[] | null): SentAnswer | null {
    last = answerOf(asked, own ?? records, context)
    return last && sent(last)
  },
  /** What may be asked next to the question that was answered last. */
  next: (): SentAnswer[] => (last ? nextTo(last, records, context).map(sent) : []),
  pair(
    batches: Parameters<typeof pairOf>[0],
    outcome: string | null,
    lots: NonNullable<Parameters<typeof pairOf>[4]>,
  ): SentPair {
    const { outcome: figure, ...rest } = pairOf(batches, outcome, records, context, lots)
    return { ...rest, outcomeId: figure?.id ?? null }
  },
}
export type AnswersWorker = typeof api
expose(api)
