import type { LabelOrder } from '#contracts/label'
import { claimSays } from '#core/label/claims'
import { claimsOn, faultsOf } from '#core/label/fit'
import { faultSays } from '#core/label/faultSays'
import { placeFor } from '#core/label/places'
import { placesOf, sheetFits } from '#core/label/sheet'
import { saidOf, type LabelKnown } from '#core/label/subject'
import { sayIn } from '#core/label/words'
import { getBatch } from '../db/batches'
import type { Db } from '../db/connection'
import { designs, gifts, scents, soapWords } from '../db/documents'
import { getPhoto } from '../db/photos'
import { getWorkshop } from '../db/workshop'
import type { LabelJob, Pictures } from './pdf'

/*
 * What an order of labels comes to: which words on which paper, and what is to be asked before it is printed. Worked out here anew from
 * what is kept, whatever the screen showed.
 */

const knownIn = (db: Db): LabelKnown => ({
  shop: getWorkshop(db),
  scents: new Map(scents.list(db).map(({ id, document }) => [id, { scent: document }])),
  batch: (id) => getBatch(db, id),
  gift: (id) => gifts.get(db, id)?.document ?? null,
  soap: (id) => soapWords.get(db, id)?.document ?? null,
})

/** Labels as they are to be drawn, what is to be asked first, and the pictures on them. */
export interface ReadyOrder {
  jobs: LabelJob[]
  asks: string[]
  pictures: Pictures
  title: string
}

/** An order made ready; null where what is to be labelled, or the design, is not there. */
export function readyOrder(db: Db, order: LabelOrder): ReadyOrder | null {
  const design = designs.get(db, order.designId)?.document
  if (!design) return null
  const also = design.also ? (designs.get(db, design.also)?.document ?? null) : null
  const known = knownIn(db)
  const place = placeFor(known.shop.selling)
  const say = sayIn(place)
  const jobs: LabelJob[] = []
  const asks: string[] = []
  for (const one of also ? [design, also] : [design]) {
    const said = saidOf(order.subject, known, one.custom, order.smallest)
    if (!said) return null
    const count = order.subject.of === 'prices' ? said.length : order.count
    jobs.push({
      design: one,
      words: said.map(({ words }) => words),
      places: placesOf(one, count, one === design ? order.from : 1),
    })
    const other = one === design ? also : design
    if (!sheetFits(one)) asks.push(`${one.name}: so many do not lie on its page beside each other.`)
    for (const { words, net } of said)
      asks.push(
        ...faultsOf(one, words, net, place, other).map((fault) => faultSays(fault, one, say)),
        ...claimsOn(one, words).map(claimSays),
      )
  }
  const pictures = new Map<string, Buffer>()
  for (const { picture } of jobs.flatMap((job) => job.design.elements)) {
    const photo = picture ? getPhoto(db, picture) : null
    // A PDF takes no WebP.
    if (picture && photo && photo.type !== 'image/webp') pictures.set(picture, photo.bytes)
  }
  const first = jobs[0]?.words[0]
  return {
    jobs,
    asks: [...new Set(asks)],
    pictures,
    title:
      order.subject.of === 'prices' || !first
        ? 'Price cards'
        : `Labels for ${first.name}, ${first.code}`,
  }
}
