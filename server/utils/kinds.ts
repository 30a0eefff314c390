import { colourSchema } from '#contracts/colour'
import { firstPathSchema } from '#contracts/firstSoap'
import { makingDaySchema } from '#contracts/day'
import { formulaSchema } from '#contracts/formula'
import { goalSchema } from '#contracts/goal'
import { materialIdSchema, ownMaterialSchema } from '#contracts/material'
import { workshopMouldSchema } from '#contracts/mould'
import { scentSchema } from '#contracts/scent'
import {
  importSchema,
  lessonSchema,
  noteSchema,
  ribbonSchema,
  shortWordSchema,
} from '#contracts/journal'
import { giftSchema, labelDesignSchema, soapWordsSchema } from '#contracts/label'
import { marketSchema } from '#contracts/market'
import { blendSchema, lotSchema, orderSchema, type Blend } from '#contracts/store'
import { supplierSchema } from '#contracts/supplier'
import { trialSchema } from '#contracts/trial'
import { library } from '#core/materials/library'
import { plainWord } from '#core/materials/tokens'
import { meansLyeOrWater } from '#core/materials/lyeWords'
import { blendPrefix } from '#core/materials/blended'
import { materialsUsed } from '#core/formula/frozen'
import { formatter } from '#core/units/formatter'
import type { Db } from '../db/connection'
import * as stores from '../db/documents'
import { workshopLibrary } from '../db/library'
import { isDrawn, lotStore } from '../db/lots'
import { marketEventsAfter } from '../db/markets'
import { trialEventsAfter } from '../db/trials'

const say = formatter()
/** The first of some names, in a sentence. */
const firstFew = (names: readonly string[]) =>
  say.list([...names.slice(0, 3), ...(names.length > 3 ? ['others'] : [])], 'and')

/** Refuses to delete what a formula names. */
function refuseWhileUsed(db: Db, id: string): void {
  const using = stores.formulas
    .list(db)
    .filter(({ document }) => materialsUsed(document).has(id))
    .map(({ document }) => document.name)
  if (using.length) refuse(409, `It is in ${firstFew(using)}. Take it out there first.`)
}

export const formulaRoutes = documentRoutes({
  store: stores.formulas,
  schema: formulaSchema,
  called: 'formula',
  may: ['formulas'],
})

export const mouldRoutes = documentRoutes({
  store: stores.moulds,
  schema: workshopMouldSchema,
  called: 'mould',
  may: ['formulas'],
})

export const goalRoutes = documentRoutes({
  store: stores.goals,
  schema: goalSchema,
  called: 'goal',
  may: ['rack'],
  beforeSave(db, _id, { formulaId }) {
    if (!stores.formulas.get(db, formulaId))
      refuse(422, 'There is no such formula; it may be deleted.', 'document.formulaId')
  },
})

const shippedKind = (id: string) =>
  library.fats.get(id)?.kind ?? library.liquids.get(id)?.kind ?? library.additives.get(id)?.kind

export const materialRoutes = documentRoutes({
  store: stores.materials,
  schema: ownMaterialSchema,
  called: 'material',
  may: ['formulas'],
  ids: materialIdSchema,
  beforeSave(_db, id, document) {
    if (document.id !== id) refuse(422, 'The id is not that of the address.', 'document.id')
    const kind = shippedKind(id)
    const meant = document.kind === 'liquid' ? null : meansLyeOrWater(document.name)
    if (!kind && meant)
      refuse(
        422,
        `"${document.name}" means ${meant}, and formulas have a figure of their own for that. Give it another name.`,
        'document.name',
      )
    if (!kind && document.kind === 'fat' && !(document.sap.typical >= 20))
      refuse(
        422,
        'A fat needs its saponification value, at least 20. What takes no lye is an extra.',
        'document.sap.typical',
      )
    if (!kind && !id.startsWith('own-'))
      refuse(422, 'A material of your own has an id that begins with "own-".', 'document.id')
    if (kind && kind !== document.kind)
      refuse(422, `"${id}" is a ${kind} in the library.`, 'document.kind')
  },
  beforeDelete(db, id) {
    if (shippedKind(id)) return
    refuseWhileUsed(db, id)
  },
})

export const colourRoutes = documentRoutes({
  store: stores.colours,
  schema: colourSchema,
  called: 'colour',
  may: ['formulas'],
  ids: materialIdSchema,
  beforeSave(db, id) {
    const own = stores.materials.get(db, id)?.document
    const extra = own ?? library.additives.get(id)
    if (extra?.kind !== 'additive') refuse(422, 'There is no such extra in the library.')
  },
})

export const supplierRoutes = documentRoutes({
  store: stores.suppliers,
  schema: supplierSchema,
  called: 'supplier',
  may: ['formulas'],
  beforeDelete(db, id) {
    const names = stores.scents
      .list(db)
      .filter(({ document }) => document.supplierId === id)
      .map(({ document }) => document.name)
    if (names.length) refuse(409, `${firstFew(names)} come from there. Change them first.`)
  },
})

export const scentRoutes = documentRoutes({
  store: stores.scents,
  schema: scentSchema,
  called: 'scent',
  may: ['formulas'],
  beforeSave(db, id, document) {
    const meant = meansLyeOrWater(document.name)
    if (meant)
      refuse(
        422,
        `"${document.name}" means ${meant}, and that is never a scent. Give it another name.`,
        'document.name',
      )
    const others = stores.scents.list(db).filter((one) => one.id !== id)
    const same = others.find((one) => document.code && one.document.code === document.code)
    if (same)
      refuse(422, `${document.code} is scratched into ${same.document.name}.`, 'document.code')
    const there = others.find((one) => document.drawer && one.document.drawer === document.drawer)
    if (there) refuse(422, `${there.document.name} lies in ${document.drawer}.`, 'document.drawer')
    document.parts.forEach(({ scentId }, place) => {
      const part = others.find((one) => one.id === scentId)
      if (!part)
        refuse(
          422,
          'There is no such scent; it may be deleted.',
          `document.parts[${place}].scentId`,
        )
      if (part.document.parts.length)
        refuse(
          422,
          `${part.document.name} is a blend itself. Name what it is mixed from.`,
          `document.parts[${place}].scentId`,
        )
    })
  },
  beforeDelete(db, id) {
    const blends = stores.scents
      .list(db)
      .filter(({ document }) => document.parts.some(({ scentId }) => scentId === id))
      .map(({ document }) => document.name)
    if (blends.length) refuse(409, `It is in ${firstFew(blends)}. Take it out there first.`)
  },
})

export const trialRoutes = documentRoutes({
  store: stores.trials,
  schema: trialSchema,
  called: 'trial day',
  may: ['formulas', 'bench'],
  beforeSave(db, id, document) {
    const codes = document.pots.map(({ code }) => code)
    const twice = codes.findIndex((code, place) => codes.indexOf(code) !== place)
    if (twice >= 0)
      refuse(422, `Two pots are called ${codes[twice]}.`, `document.pots[${twice}].code`)
    if (trialEventsAfter(db, id).length && stores.trials.get(db, id))
      refuse(409, 'This trial day has begun; its plan stays as it is.')
  },
  beforeDelete(db, id) {
    if (trialEventsAfter(db, id).some(({ kind }) => kind === 'ended'))
      refuse(409, 'What was found on it counts for its scents; it stays.')
  },
})

export const marketRoutes = documentRoutes({
  store: stores.markets,
  schema: marketSchema,
  called: 'market day',
  may: ['rack'],
  beforeDelete(db, id) {
    if (marketEventsAfter(db, id).some(({ kind }) => kind === 'closed'))
      refuse(409, 'What was sold on it is with its batches; it stays.')
  },
})

/** Whether a blend is in another one, or would be in itself. */
function blendsWithin(db: Db, id: string, document: Blend, path: string[] = []): boolean {
  return document.parts.some(({ thing }) => {
    if (thing === id) return true
    const inner = path.includes(thing) ? null : stores.blends.get(db, thing)
    return inner ? blendsWithin(db, id, inner.document, [...path, thing]) : false
  })
}

export const blendRoutes = documentRoutes({
  store: stores.blends,
  schema: blendSchema,
  called: 'made-up stock',
  may: ['formulas', 'rack'],
  ids: materialIdSchema,
  beforeSave(db, id, document) {
    if (!id.startsWith(blendPrefix))
      refuse(422, 'A made-up stock has an id that begins with "blend-".', 'id')
    if (document.kind !== 'lye' && meansLyeOrWater(document.name))
      refuse(
        422,
        'Lye and water are called by what they are. Give it another name.',
        'document.name',
      )
    if (blendsWithin(db, id, document))
      refuse(422, 'It cannot be made of itself.', 'document.parts')
    const known = workshopLibrary(db)
    document.parts.forEach(({ thing }, place) => {
      const lye = ['naoh', 'koh', 'water'].includes(thing)
      const there = known.fats.has(thing) || known.additives.has(thing)
      if (document.kind === 'lye' ? !lye : !there)
        refuse(422, `"${thing}" cannot go into it.`, `document.parts[${place}].thing`)
    })
  },
  beforeDelete: refuseWhileUsed,
})

export const orderRoutes = documentRoutes({
  store: stores.orders,
  schema: orderSchema,
  called: 'order',
  may: ['formulas', 'rack'],
})

export const lotRoutes = documentRoutes({
  store: lotStore,
  schema: lotSchema,
  called: 'lot',
  may: ['rack', 'formulas'],
  beforeSave: (db, id, document) => checkLot(db, id, document, 'document'),
  beforeDelete(db, id) {
    if (isDrawn(db, id))
      refuse(
        409,
        'Something was drawn from it, or it was counted: it stays, so that it can be traced.',
      )
  },
})

export const designRoutes = documentRoutes({
  store: stores.designs,
  schema: labelDesignSchema,
  called: 'design',
  may: ['formulas'],
  beforeSave(db, id, { also }) {
    if (!also) return
    const other = also === id ? null : stores.designs.get(db, also)
    if (!other) refuse(422, 'There is no such design; it may be deleted.', 'document.also')
    if (other.document.also)
      refuse(422, `${other.document.name} has one that goes with it itself.`, 'document.also')
  },
  beforeDelete(db, id) {
    const names = stores.designs
      .list(db)
      .filter(({ document }) => document.also === id)
      .map(({ document }) => document.name)
    if (names.length) refuse(409, `It goes with ${firstFew(names)}. Take it off there first.`)
  },
})

export const soapWordsRoutes = documentRoutes({
  store: stores.soapWords,
  schema: soapWordsSchema,
  called: 'soap',
  may: ['formulas'],
})

export const giftRoutes = documentRoutes({
  store: stores.gifts,
  schema: giftSchema,
  called: 'box',
  may: ['formulas'],
  beforeSave(db, _id, { bars }) {
    bars.forEach(({ batchId }, place) => {
      if (!db.prepare('SELECT 1 FROM batches WHERE id = ?').get(batchId))
        refuse(422, 'There is no such batch.', `document.bars[${place}].batchId`)
    })
  },
})

/** Refuses a note of a batch or with a lesson that is not there. */
function checkBatch(db: Db, batchId: string | null): void {
  if (batchId && !db.prepare('SELECT 1 FROM batches WHERE id = ?').get(batchId))
    refuse(422, 'There is no such batch.', 'document.batchId')
}

export const noteRoutes = documentRoutes({
  store: stores.notes,
  schema: noteSchema,
  called: 'note',
  may: ['rack', 'bench', 'formulas'],
  beforeSave: (db, _id, { batchId }) => checkBatch(db, batchId),
})

export const lessonRoutes = documentRoutes({
  store: stores.lessons,
  schema: lessonSchema,
  called: 'lesson',
  may: ['rack', 'formulas'],
  beforeSave: (db, _id, { batchId }) => checkBatch(db, batchId),
})

export const importRoutes = documentRoutes({
  store: stores.imports,
  schema: importSchema,
  called: 'import',
  may: ['formulas'],
})

export const shortWordRoutes = documentRoutes({
  store: stores.shortWords,
  schema: shortWordSchema,
  called: 'short word',
  may: ['formulas'],
  beforeSave(db, id, { short, place }) {
    const same = stores.shortWords
      .list(db)
      .find(
        (one) =>
          one.id !== id &&
          one.document.place === place &&
          plainWord(one.document.short) === plainWord(short),
      )
    if (same) refuse(422, `“${short}” stands for ${same.document.long} already.`, 'document.short')
  },
})

export const ribbonRoutes = documentRoutes({
  store: stores.ribbons,
  schema: ribbonSchema,
  called: 'ribbon',
  may: ['rack', 'formulas'],
})

export const pathRoutes = documentRoutes({
  store: stores.paths,
  schema: firstPathSchema,
  called: 'path',
  may: ['formulas', 'bench'],
})

export const makingDayRoutes = documentRoutes({
  store: stores.makingDays,
  schema: makingDaySchema,
  called: 'making day',
  may: ['bench', 'formulas'],
  beforeSave(db, id, { batches }) {
    const others = stores.makingDays
      .list(db)
      .filter((one) => one.id !== id && !one.document.endedAt)
    batches.forEach(({ id: batchId }, place) => {
      if (!db.prepare('SELECT 1 FROM batches WHERE id = ?').get(batchId))
        refuse(422, 'There is no such batch.', `document.batches[${place}].id`)
      if (
        others.some(({ document }) =>
          document.batches.some(
            (one) =>
              one.id === batchId && !document.dropped.some(({ id: gone }) => gone === batchId),
          ),
        )
      )
        refuse(
          422,
          'This batch stands on another making day. Take it off there first.',
          `document.batches[${place}].id`,
        )
    })
  },
  beforeDelete(db, id) {
    if (stores.makingDays.get(db, id)?.document.startedAt)
      refuse(409, 'This day has begun: what was planned and what came stays.')
  },
})
