import type { Blend, NewLot, StoredLot } from '#contracts/store'
import { lotSchema } from '#contracts/store'
import type { BlendKind } from '#contracts/storeWords'
import { computeFormula } from '#core/formula/compute'
import { takeFrom } from '#core/stores/stock'
import { sumOf } from '#core/statistics/sum'
import { thingIn } from '#core/stores/things'

/** What goes into a stock that is made up: of a thing, out of which lots. */
export interface BlendPart {
  thing: string
  name: string
  colour: string
  share: number
  grams: number
  takes: { lot: StoredLot; grams: number }[]
  short: number
}

/** A stock made up for several batches: how much, out of what, what it is then, and until when it is good. */
export function useBlending(kind: Ref<BlendKind>) {
  const materials = useMaterials()
  const formulas = useFormulas()
  const lots = useLots()
  const blends = useBlends()
  const { today } = storeToRefs(useWorkshop())
  const formulaId = ref('')
  const batches = ref(6)
  /** g of a batch: its oils, or the coloured oil that it takes. */
  const oilsOfOne = ref(1000)
  const colourOfOne = ref(30)
  const each = computed({
    get: () => (kind.value === 'coloured' ? colourOfOne.value : oilsOfOne.value),
    set: (value) =>
      kind.value === 'coloured' ? (colourOfOne.value = value) : (oilsOfOne.value = value),
  })
  const spare = ref(0.03)
  /** g of water for a gram of lye. */
  const water = ref(2)
  const colourThing = ref('')
  const oilThing = ref('')
  const oilParts = ref(2)
  const formula = computed(() => formulas.list.find(({ id }) => id === formulaId.value) ?? null)
  watch(
    () => formulas.list.length,
    () => (formulaId.value ||= formulas.list[0]?.id ?? ''),
    { immediate: true },
  )
  const result = computed(() =>
    formula.value ? computeFormula(formula.value.document, materials.library) : null,
  )
  /** Of the formula, for one batch of so many oils. */
  const perBatch = computed(() => {
    if (kind.value === 'coloured') return each.value
    if (!result.value?.oils) return 0
    const factor = each.value / result.value.oils
    if (kind.value === 'lye')
      return (result.value.lye.naoh + result.value.lye.koh) * factor * (1 + water.value)
    return each.value
  })
  const grams = computed(() => Math.round(batches.value * perBatch.value * (1 + spare.value)))
  const shares = computed((): { thing: string; share: number }[] => {
    if (kind.value === 'lye')
      return [
        { thing: 'naoh', share: 1 / (1 + water.value) },
        { thing: 'water', share: water.value / (1 + water.value) },
      ]
    if (kind.value === 'coloured')
      return colourThing.value && oilThing.value
        ? [
            { thing: oilThing.value, share: oilParts.value / (1 + oilParts.value) },
            { thing: colourThing.value, share: 1 / (1 + oilParts.value) },
          ]
        : []
    const { fats = [], oils = 0 } = result.value ?? {}
    const pot = fats.filter(({ moment }) => moment === 'pot')
    const sum = sumOf(pot, (fat) => fat.grams)
    return oils > 0 && sum > 0 ? pot.map((fat) => ({ thing: fat.id, share: fat.grams / sum })) : []
  })
  const parts = computed((): BlendPart[] =>
    shares.value.map(({ thing, share }) => {
      const wanted = grams.value * share
      const { takes, short } = takeFrom(lots.list, thing, wanted)
      const known = thingIn(materials.library, thing)
      return {
        thing,
        name: known.name,
        colour: known.colour,
        share,
        grams: wanted,
        takes: takes.map((take) => ({
          lot: lots.list.find(({ id }) => id === take.lotId)!,
          grams: take.grams,
        })),
        short,
      }
    }),
  )
  const short = computed(() => parts.value.filter((part) => part.short > 0.5))
  const drawn = computed(() => parts.value.flatMap(({ takes }) => takes))
  /** It keeps as long as the first of its parts does. */
  const expiry = computed(
    () => drawn.value.flatMap(({ lot }) => lot.document.bestBefore ?? []).sort()[0] ?? null,
  )
  /** What it saponifies at, by the papers of the lots that go in; and the strength of a solution by its lye's purity. */
  const sap = computed(() => {
    if (kind.value === 'lye' || !grams.value) return null
    return (
      sumOf(parts.value, ({ thing, takes, grams: wanted }) => {
        const usual = materials.library.fats.get(thing)?.sap.typical ?? 0
        const known = sumOf(takes, (take) => take.grams)
        return (
          sumOf(takes, (take) => (take.lot.document.certificate?.sap ?? usual) * take.grams) +
          usual * Math.max(0, wanted - known)
        )
      }) / grams.value
    )
  })
  const strength = computed(() => {
    if (kind.value !== 'lye' || !grams.value) return null
    const lye = parts.value.find(({ thing }) => thing === 'naoh')
    if (!lye) return null
    const known = sumOf(lye.takes, (take) => take.grams)
    const pure =
      sumOf(lye.takes, (take) => (take.lot.document.certificate?.purity ?? 1) * take.grams) +
      Math.max(0, lye.grams - known)
    return pure / grams.value
  })
  /** A blend that is of the same things in the same shares is the same stock. */
  const same = computed(() =>
    blends.list.find(
      ({ document }) =>
        document.kind === kind.value &&
        document.parts.length === shares.value.length &&
        document.parts.every(({ thing, share }) =>
          shares.value.some((own) => own.thing === thing && Math.abs(own.share - share) < 0.0005),
        ),
    ),
  )
  const typedName = ref('')
  const name = computed(() => {
    if (kind.value === 'lye') return 'Lye solution'
    if (same.value) return same.value.document.name
    if (typedName.value.trim()) return typedName.value.trim()
    if (kind.value === 'coloured')
      return colourThing.value
        ? `${thingIn(materials.library, colourThing.value).name} in oil`
        : 'Coloured oil'
    return formula.value ? `${formula.value.document.name} blend` : 'Blend'
  })
  const thing = computed(() =>
    kind.value === 'lye' ? 'lye-solution' : (same.value?.id ?? `blend-${slugOf(name.value)}`),
  )
  const letters = computed(() =>
    name.value
      .split(/\s+/)
      .map((word) => word.charAt(0).toUpperCase())
      .join('')
      .slice(0, 3),
  )
  const code = computed(() => {
    const known = lots.list.filter(({ document }) => document.thing === thing.value)
    const numbers = known.map(({ document }) => Number(/\d+/.exec(document.code)?.[0] ?? 0))
    return `${letters.value}${Math.max(0, ...numbers) + 1}`
  })
  const document = computed((): Blend => ({
    name: name.value,
    kind: kind.value,
    parts: shares.value,
    colour: '#c9a64b',
    note: '',
  }))
  /** Keeps it: the blend as a material where it is new, and the lot with what went into it. Throws an ApiError. */
  async function keep(id: string, more: Partial<NewLot>): Promise<StoredLot> {
    if (kind.value !== 'lye' && !same.value) await blends.save(thing.value, 0, document.value)
    const lot = lotSchema.parse({
      thing: thing.value,
      code: code.value,
      cameOn: today.value,
      openedOn: today.value,
      bestBefore: expiry.value,
      amount: sumOf(drawn.value, (take) => take.grams),
      parts: drawn.value.map(({ lot: { id: lotId }, grams: taken }) => ({ lotId, grams: taken })),
      certificate:
        kind.value === 'lye'
          ? { purity: strength.value }
          : drawn.value.some((take) => take.lot.document.certificate?.sap)
            ? { sap: Math.round(sap.value! * 10) / 10 }
            : null,
      ...more,
    })
    const [kept] = await lots.putAway([{ id, document: lot }])
    return kept!
  }
  return {
    formulaId,
    batches,
    each,
    spare,
    water,
    colourThing,
    oilThing,
    oilParts,
    typedName,
    perBatch,
    grams,
    parts,
    short,
    drawn,
    expiry,
    sap,
    strength,
    same,
    name,
    code,
    keep,
  }
}
