import type { KnownPack } from '#contracts/store'
import { wantedOf, type Bought } from '#core/stores/shopping'
import { isCounted } from '#core/stores/things'
import { daysBetween } from '#core/units/days'
import type { ThingRow } from './useStores'

/** What is to be bought of one thing. */
export interface ToBuy {
  row: ThingRow
  need: number
  packs: KnownPack[]
  bought: Bought
  /** Where all of it comes from; empty where nobody knows. */
  supplierId: string | null
  /** What is there runs out then; null where nobody can tell. */
  by: string | null
  /** More comes than is used before it spoils. */
  spoils: boolean
}

/** Whole weeks that things are bought for, unless somebody says otherwise: a quarter of a year. */
export const usualWeeks = 13

/** What is to be bought until a horizon, in which packs: worked out in a worker. */
export function useShopping(
  things: Ref<ThingRow[]>,
  packs: Ref<KnownPack[]>,
  planned: Ref<{ day: string; needs: { thing: string; grams: number }[] }[]>,
  weeks: Ref<number>,
) {
  const { today } = storeToRefs(useWorkshop())
  const list = shallowRef<ToBuy[]>([])
  const busy = ref(false)
  const problem = ref('')
  let finder: Awaited<ReturnType<typeof startFinder>> | null = null
  let asked = 0
  const wanted = computed(() =>
    things.value.flatMap((row) => {
      const own = packs.value
        .filter(({ thing }) => thing === row.thing.id)
        .sort((a, b) => a.grams - b.grams)
      // Wherever it was cheapest by the gram last: one supplier for a thing.
      const best = [...own].sort((a, b) => a.price / a.grams - b.price / b.grams)[0]
      const from = own.filter(({ supplierId }) => supplierId === best?.supplierId)
      const plans = planned.value.flatMap(({ day, needs }) =>
        needs.filter(({ thing }) => thing === row.thing.id).map(({ grams }) => ({ day, grams })),
      )
      const last =
        plans
          .map(({ day }) => day)
          .sort()
          .at(-1) ?? today.value
      const keeps = from.flatMap((pack) => pack.keeps ?? []).sort((a, b) => a - b)[0] ?? null
      const wants = wantedOf({
        stock: row.stock,
        planned: {
          grams: plans.reduce((sum, { grams }) => sum + grams, 0),
          weeks: Math.max(0, daysBetween(today.value, last) / 7),
        },
        weekly: row.out?.weekly ?? 0,
        weeks: weeks.value,
        keeps,
      })
      return wants.need > (isCounted(row.thing.id) ? 0.5 : 1) && from.length
        ? [{ row, wants, packs: from }]
        : []
    }),
  )
  watch(
    wanted,
    async (now) => {
      const mine = ++asked
      if (!now.length) return void (list.value = [])
      busy.value = true
      try {
        finder ??= await startFinder()
        const answers = await finder.remote.buy(
          plain(now.map(({ wants, packs: own }) => ({ ...wants, packs: own }))),
        )
        if (mine !== asked) return
        list.value = now.flatMap(({ row, wants, packs: own }, place): ToBuy[] => {
          const bought = answers[place]
          return bought
            ? [
                {
                  row,
                  need: wants.need,
                  packs: own,
                  bought,
                  supplierId: own[0]!.supplierId,
                  by: row.out?.from ?? null,
                  spoils: wants.most !== null && bought.grams > wants.most + 1,
                },
              ]
            : []
        })
        problem.value = ''
      } catch {
        problem.value = 'What to buy could not be worked out. Load the page anew.'
      } finally {
        if (mine === asked) busy.value = false
      }
    },
    { immediate: true },
  )
  onScopeDispose(() => finder?.worker.terminate())
  return { list, busy, problem }
}
