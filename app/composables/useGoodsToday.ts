import type { FormulaResult } from '#contracts/result'
import { costToday } from '#core/cost/reckoned'
import { needsOfResult } from '#core/stores/things'

/** What the goods of a formula cost today, smallest unit of money; null as long as the price of one of them is not known. */
export function useGoodsToday() {
  const prices = usePrices()
  const { library } = storeToRefs(useMaterials())
  const { settings } = storeToRefs(useWorkshop())
  onMounted(() => void prices.load())
  return (result: FormulaResult): number | null => {
    const { total, unknown } = costToday(needsOfResult(result, library.value), {
      costing: {
        ...settings.value.costing,
        hourly: 0,
        overhead: { cost: 0, per: 'batch' },
        uses: [],
      },
      prices: prices.now,
      bars: 1,
      hours: 0,
      days: 0,
    })
    return unknown.length || !(total > 0) ? null : total
  }
}
