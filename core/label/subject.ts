import type { Gift, LabelSubject, LabelWords, SoapWords } from '#contracts/label'
import type { ListCustom } from '#contracts/labelWords'
import { sumOf } from '../statistics/sum'
import {
  giftWords,
  labelOf,
  type GiftPart,
  type LabelBatch,
  type LabelScents,
  type LabelShop,
} from './words'

/** What there is to label, by its id, and all that labels go by; null for what is not there. */
export interface LabelKnown {
  shop: LabelShop
  scents: LabelScents
  batch: (id: string) => (LabelBatch & { formulaId: string }) | null
  gift: (id: string) => Gift | null
  /** What customers read of a formula. */
  soap: (formulaId: string) => SoapWords | null
}

/** What one label says. */
export interface LabelSaid {
  words: LabelWords
  /** g that it states in all. */
  net: number
  /** The batches behind it, and how many bars of each. */
  parts: GiftPart[]
}

/**
 * What the labels of a subject say: one for all labels of a batch or of a box, one for each card. Null where something of it is not
 * there.
 * @param smallest g of the smallest bar of the batch that gets one; null to go by the drying
 * @example saidOf({ of: 'batch', id: labelBatch.id }, labelKnown, 'in-bar')[0].words.name // 'Hostel Bar'
 */
export function saidOf(
  subject: LabelSubject,
  { shop, scents, batch, gift, soap }: LabelKnown,
  custom: ListCustom,
  smallest: number | null = null,
): LabelSaid[] | null {
  const partOf = (id: string, bars: number, least: number | null): GiftPart | null => {
    const found = batch(id)
    return (
      found && {
        bars,
        label: labelOf(found, {
          shop,
          scents,
          custom,
          soap: soap(found.formulaId),
          smallest: least,
        }),
      }
    )
  }
  const alone = (id: string, least: number | null): LabelSaid | null => {
    const part = partOf(id, 1, least)
    return part && { words: part.label.words, net: part.label.net.stated, parts: [part] }
  }
  const whole = <T>(found: (T | null)[]): T[] | null => {
    const there = found.filter((one) => one !== null)
    return there.length === found.length ? there : null
  }
  switch (subject.of) {
    case 'batch':
      return whole([alone(subject.id, smallest)])
    case 'prices':
      return whole(subject.ids.map((id) => alone(id, null)))
    case 'gift': {
      const box = gift(subject.id)
      const parts = box && whole(box.bars.map(({ batchId, bars }) => partOf(batchId, bars, null)))
      if (!parts) return null
      const net = sumOf(parts, ({ bars, label }) => bars * label.net.stated)
      return [{ words: giftWords(box, parts, shop), net, parts }]
    }
  }
}
