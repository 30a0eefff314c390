import { describe, expect, it } from 'vitest'
import { chartRows } from './chartRows'

const say = (value: number) => String(Math.round(value * 10) / 10)

describe('a chart as a table', () => {
  it('lays lines side by side by what is on the first axis, as the axes label it', () => {
    const option = {
      xAxis: {
        type: 'value',
        name: 'days',
        axisLabel: { formatter: (day: number) => `day ${day}` },
      },
      yAxis: { type: 'value', axisLabel: { formatter: '{value} g' } },
      series: [
        {
          name: 'foretold',
          data: [
            [0, 120.04],
            [7, 112],
          ],
        },
        {
          data: [
            [0, 1],
            [7, 2],
          ],
        },
        { name: 'weighed', data: [{ value: [7, 111.5] }] },
        { name: 'nothing yet', data: [] },
      ],
    }
    expect(chartRows(option, say)).toEqual({
      head: ['days', 'foretold', 'weighed'],
      rows: [
        ['day 0', '120 g', ''],
        ['day 7', '112 g', '111.5 g'],
      ],
    })
  })
  it('takes the names of categories, and each line by its own axes', () => {
    const option = {
      xAxis: [
        { type: 'category', data: ['Mon', 'Tue'] },
        { type: 'category', data: ['Mon', 'Tue'] },
      ],
      yAxis: [
        { axisLabel: { formatter: '{value} %' } },
        { axisLabel: { formatter: '{value} °C' } },
      ],
      series: [
        { name: 'damp', data: [58, 60] },
        { name: 'warm', data: [17, 18], xAxisIndex: 1, yAxisIndex: 1 },
      ],
    }
    expect(chartRows(option, say).rows).toEqual([
      ['Mon', '58 %', '17 °C'],
      ['Tue', '60 %', '18 °C'],
    ])
  })
  it('shows of many every so many-th, and the last', () => {
    const data = Array.from({ length: 101 }, (_, x) => [x, x])
    const { rows } = chartRows({ xAxis: {}, yAxis: {}, series: { name: 'a', data } }, say)
    expect(rows.length).toBeLessThan(42)
    expect([rows[0]![0], rows[1]![0], rows.at(-1)![0]]).toEqual(['0', '3', '100'])
  })
})
