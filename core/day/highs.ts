import type { Highs } from 'highs'
import type { DaySolver } from './programme'

/**
 * HiGHS as the solver of days: begins with the plan that is known, and says how short a day can be at best.
 * @param highs the solver as it was loaded, by a worker or a test
 * @example typeof solverBy(null) // 'function'
 */
export const solverBy =
  (highs: Highs): DaySolver =>
  (programme, begin, seconds) =>
    highs.withModel({ format: 'lp', data: programme }, (model) => {
      model.options.set({ output_flag: false, time_limit: seconds })
      const { numCols } = model.getDimensions()
      const names = Array.from({ length: numCols }, (_, nth) => model.getColName(nth))
      model.setSolution({ colValue: names.map((name) => begin[name] ?? 0) })
      model.run()
      const { colValue } = model.getSolution()
      const bound = Number(model.info.get('mip_dual_bound'))
      return {
        values: colValue
          ? Object.fromEntries(names.map((name, nth) => [name, Number(colValue[nth] ?? 0)]))
          : null,
        bound: Number.isFinite(bound) ? bound : null,
      }
    })
