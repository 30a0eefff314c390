import { formulaSchema } from '#contracts/formula'
import { goalSchema } from '#contracts/goal'
import { materialIdSchema, ownMaterialSchema } from '#contracts/material'
import { workshopMouldSchema } from '#contracts/mould'
import { library } from '#core/materials/library'
import { meansLyeOrWater } from '#core/materials/lyeWords'
import { materialsUsed } from '#core/formula/frozen'
import { formatter } from '#core/units/formatter'
import * as stores from '../db/documents'

const say = formatter()

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
    const using = stores.formulas
      .list(db)
      .filter(({ document }) => materialsUsed(document).has(id))
      .map(({ document }) => document.name)
    if (using.length)
      refuse(
        409,
        `It is in ${say.list([...using.slice(0, 3), ...(using.length > 3 ? ['others'] : [])], 'and')}. Take it out there first.`,
      )
  },
})
