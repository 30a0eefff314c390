/* What a chart shows, as a table: for those who would rather read than look. */

interface Axis {
  type?: string
  name?: string
  data?: string[]
  axisLabel?: { formatter?: unknown }
}
interface Series {
  name?: string
  data?: unknown[]
  xAxisIndex?: number
  yAxisIndex?: number
}
export interface ChartRows {
  head: string[]
  rows: string[][]
}

/** Rows of a table that people still read; of more every so many-th is shown, and the last. */
const most = 40
const listOf = <T>(one: T | T[] | undefined): T[] => (Array.isArray(one) ? one : one ? [one] : [])

/** A value as its axis labels it. */
function labelled(value: number, axis: Axis | undefined, say: (value: number) => string): string {
  const formatter = axis?.axisLabel?.formatter
  if (typeof formatter === 'function') return String((formatter as (v: number) => unknown)(value))
  const said = say(value)
  return typeof formatter === 'string' ? formatter.replace('{value}', said) : said
}

/**
 * The named lines and points of a chart's option as rows by what lies on the first axis. Lines without a name (bands, helping
 * lines) are left out.
 * @param say puts a bare number into words
 */
export function chartRows(
  option: Record<string, unknown>,
  say: (value: number) => string,
): ChartRows {
  const xs = listOf(option.xAxis as Axis | Axis[])
  const ys = listOf(option.yAxis as Axis | Axis[])
  const series = listOf(option.series as Series | Series[]).filter(
    ({ name, data }) => name && data?.length,
  )
  const byX = new Map<number, string[]>()
  for (const [column, { data = [], xAxisIndex = 0, yAxisIndex = 0 }] of series.entries())
    for (const [index, point] of data.entries()) {
      const pair: unknown =
        point && typeof point === 'object' && 'value' in point ? point.value : point
      const [x, y] = Array.isArray(pair) ? (pair as number[]) : [index, pair as number]
      if (typeof x !== 'number' || typeof y !== 'number') continue
      const row = byX.get(x) ?? [
        xs[xAxisIndex]?.data?.[x] ?? labelled(x, xs[xAxisIndex], say),
        ...series.map(() => ''),
      ]
      row[column + 1] = labelled(y, ys[yAxisIndex], say)
      byX.set(x, row)
    }
  const rows = [...byX].sort(([a], [b]) => a - b).map(([, row]) => row)
  const step = Math.ceil(rows.length / most)
  return {
    head: [xs[0]?.name ?? '', ...series.map(({ name }) => name!)],
    rows: rows.filter((_, at) => at % step === 0 || at === rows.length - 1),
  }
}
