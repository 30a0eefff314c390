<script setup lang="ts">
import type { BatchCost } from '#contracts/store'
import { printed } from '#core/cost/batchCost'
import { thingIn } from '#core/stores/things'

/** One bar three times: by what it weighs, by what its goods cost, and whole with work and wraps. */
const { cost, bars } = defineProps<{ cost: BatchCost; bars: number }>()
const materials = useMaterials()
const { say, settings } = storeToRefs(useWorkshop())
const money = (minor: number) => moneyText(minor, settings.value.currency)
/** The largest of the goods by name; what is small is one. */
const goods = computed(() =>
  cost.lines
    .filter(({ kind }) => kind === 'goods')
    .map((line) => ({
      ...line,
      colour: thingIn(materials.library, line.thing).colour,
      short: line.says.replace(/,[^,]*? (?=\S+$)/, ' '),
    }))
    .sort((a, b) => b.amount - a.amount),
)
const whole = computed(() => {
  const sum = (kinds: string[]) =>
    cost.lines.filter(({ kind }) => kinds.includes(kind)).reduce((all, line) => all + line.cost, 0)
  return [
    { key: 'rack', says: 'Rack', cost: sum(['rack']), colour: '#b9c5c3' },
    { key: 'overhead', says: 'Shed', cost: sum(['overhead']), colour: '#9aa8a6' },
    { key: 'hours', says: 'Hours', cost: sum(['hours']), colour: '#46555a' },
    { key: 'wraps', says: 'Wraps', cost: sum(['wraps']), colour: '#d9d0c1' },
    { key: 'goods', says: 'Goods', cost: sum(['goods']), colour: '' },
  ].filter((one) => one.cost > 0)
})
const weight = computed(() => goods.value.reduce((sum, { amount }) => sum + amount, 0))
const spent = computed(() => goods.value.reduce((sum, line) => sum + line.cost, 0))
const tall = 268
const top = 34
/** Blocks of the three bars from their foot. */
const blocks = computed(() => {
  let byWeight = 0
  let byMoney = 0
  let byWhole = 0
  const scale = cost.total > 0 ? tall / cost.total : 0
  return goods.value.map((line) => {
    const heights = {
      weight: weight.value ? (line.amount / weight.value) * tall : 0,
      money: spent.value ? (line.cost / spent.value) * tall : 0,
      whole: line.cost * scale,
    }
    const block = {
      line,
      weight: { y: top + tall - byWeight - heights.weight, h: heights.weight },
      money: { y: top + tall - byMoney - heights.money, h: heights.money },
      whole: { y: top + tall - byWhole - heights.whole, h: heights.whole },
    }
    byWeight += heights.weight
    byMoney += heights.money
    byWhole += heights.whole
    return block
  })
})
const others = computed(() => {
  let y = top + tall - (cost.total > 0 ? (spent.value / cost.total) * tall : 0)
  // Names stand apart by a line, whatever they name.
  let said = top + tall - 4
  return [...whole.value]
    .reverse()
    .filter(({ key }) => key !== 'goods')
    .map((one) => {
      const h = cost.total > 0 ? (one.cost / cost.total) * tall : 0
      y -= h
      said = Math.min(y + h / 2 + 4, said - 15)
      return { ...one, y, h, said }
    })
})
const ribbon = (
  x1: number,
  a: { y: number; h: number },
  x2: number,
  b: { y: number; h: number },
) => {
  const middle = (x1 + x2) / 2
  return `M${x1} ${a.y} C${middle} ${a.y} ${middle} ${b.y} ${x2} ${b.y} V${b.y + b.h} C${middle} ${b.y + b.h} ${middle} ${a.y + a.h} ${x1} ${a.y + a.h} Z`
}
const perBar = (minor: number) => (bars > 0 ? money(minor / bars) : '–')
/** Names beside the first bar, where there is room for a line. */
const named = computed(() => {
  let last = Infinity
  const risen = blocks.value.flatMap(({ line, weight: { y, h } }) => {
    if (h < 3) return []
    last = Math.min(y + h / 2 + 4, last - 14)
    return [{ line, y: last }]
  })
  // What rose out of the picture comes down again, and pushes what is below it.
  let least = 12
  return risen.reverse().map(({ line, y }) => {
    const at = Math.max(y, least)
    least = at + 14
    return { line, y: at }
  })
})
/** As it is printed: whole units that sum to the total. */
const rows = computed(() => {
  const whole = printed(cost.lines.map((line) => line.cost))
  return cost.lines.map((line, nth) => ({ ...line, whole: whole[nth]! }))
})
const amountText = (line: { kind: string; amount: number }) => {
  if (line.kind === 'goods') return say.value.mass(line.amount)
  if (line.kind === 'hours') return `${say.value.number(line.amount, 0, 2)} h`
  if (line.kind === 'wraps') return say.value.number(line.amount, 0, 1)
  return line.kind === 'rack' ? say.value.count(line.amount, 'day', 'days') : ''
}
</script>

<template>
  <div>
    <div class="overflow-x-auto">
      <svg
        viewBox="0 0 712 326"
        class="min-w-[640px]"
        role="img"
        aria-label="One bar by weight, by money and whole; the table below says the same"
      >
        <g font-size="12.5" fill="currentColor">
          <text x="212" y="14" text-anchor="middle">by weight</text>
          <text x="212" y="29" text-anchor="middle" font-weight="700" font-size="15">
            {{ say.amount(weight) }}
          </text>
          <text x="388" y="14" text-anchor="middle">goods, by money</text>
          <text x="388" y="29" text-anchor="middle" font-weight="700" font-size="15">
            {{ perBar(spent) }}
          </text>
          <text x="556" y="14" text-anchor="middle">a whole bar</text>
          <text x="556" y="29" text-anchor="middle" font-weight="700" font-size="15">
            {{ perBar(cost.total) }}
          </text>
        </g>
        <g v-for="block in blocks" :key="block.line.says" :fill="block.line.colour">
          <path :d="ribbon(258, block.weight, 342, block.money)" opacity="0.4" />
          <path :d="ribbon(434, block.money, 510, block.whole)" opacity="0.4" />
          <rect x="166" :y="block.weight.y" width="92" :height="block.weight.h" />
          <rect x="342" :y="block.money.y" width="92" :height="block.money.h" />
          <rect x="510" :y="block.whole.y" width="92" :height="block.whole.h" />
        </g>
        <rect
          v-for="one in others"
          :key="one.key"
          x="510"
          :y="one.y"
          width="92"
          :height="one.h"
          :fill="one.colour"
        />
        <path
          v-for="x in [166, 342, 510]"
          :key="x"
          :d="`M${x} ${top + 10} L${x + 10} ${top} H${x + 82} L${x + 92} ${top + 10} V${top + tall - 10} L${x + 82} ${top + tall} H${x + 10} L${x} ${top + tall - 10} Z`"
          fill="none"
          stroke="currentColor"
          stroke-width="2"
        />
        <g font-size="12.5" fill="currentColor">
          <text v-for="one in named" :key="one.line.says" x="158" :y="one.y" text-anchor="end">
            {{ one.line.short }}
            <tspan font-weight="700">{{ say.amount(one.line.amount) }}</tspan>
          </text>
          <text
            v-for="one in [
              ...others,
              { key: 'g', says: 'Goods', cost: spent, said: top + tall - 4 },
            ]"
            :key="one.key"
            x="612"
            :y="one.said"
          >
            {{ one.says }}
            <tspan font-weight="700">{{ perBar(one.cost) }}</tspan>
          </text>
          <template v-for="block in blocks" :key="`m${block.line.says}`">
            <text
              v-if="block.money.h > 16"
              x="388"
              :y="block.money.y + block.money.h / 2 + 4"
              text-anchor="middle"
              font-weight="700"
              fill="#182022"
              stroke="#fff"
              stroke-width="2.5"
              paint-order="stroke"
            >
              {{ perBar(block.line.cost) }}
            </text>
          </template>
        </g>
      </svg>
    </div>
    <details class="mt-1">
      <summary class="font-semibold">As a table</summary>
      <table class="mt-2 w-full text-[13.5px]">
        <tbody>
          <tr v-for="line in rows" :key="`${line.kind} ${line.says}`" class="border-t border-line">
            <td class="py-1">{{ line.says }}</td>
            <td class="figure text-right text-ink-2">{{ amountText(line) }}</td>
            <td class="figure text-right">{{ money(line.whole) }}</td>
          </tr>
          <tr class="border-t-2 border-ink font-bold">
            <td class="py-1">In all</td>
            <td />
            <td class="figure text-right" data-testid="cost-total">{{ money(cost.total) }}</td>
          </tr>
        </tbody>
      </table>
    </details>
    <p v-if="cost.unknown.length" class="mt-2 font-semibold text-warn">
      Nobody knows what {{ say.list(cost.unknown, 'and') }}
      {{ say.plural(cost.unknown.length, 'costs: it is', 'cost: they are') }} reckoned as nothing.
    </p>
  </div>
</template>
