<script setup lang="ts">
import type { ToBuy } from '~/composables/useShopping'
import { usualVessel } from '#core/stores/things'

/** What is to be bought, the earliest first, in a few lines. */
const { list, short } = defineProps<{
  list: ToBuy[]
  busy: boolean
  short: (name: string) => string
  packText: (one: ToBuy) => string
}>()
const { settings, today, say } = storeToRefs(useWorkshop())
const total = computed(() => list.reduce((sum, { bought }) => sum + bought.price, 0))
const suppliers = computed(() => new Set(list.map(({ supplierId }) => supplierId)).size)
const first = computed(() =>
  [...list].sort((a, b) => (a.by ?? '9999').localeCompare(b.by ?? '9999')).slice(0, 3),
)
const packs = (one: ToBuy) =>
  one.bought.counts
    .flatMap((count, place) => Array.from({ length: Math.min(3, count) }, () => one.packs[place]!))
    .slice(0, 3)
</script>

<template>
  <section class="sheet" aria-labelledby="to-buy">
    <header class="flex items-baseline justify-between gap-3 px-3 pt-2.5 pb-1.5">
      <h2 id="to-buy" class="text-[13px] font-semibold text-ink-2">
        To buy<template v-if="first[0]?.by"> by {{ dayText(first[0].by, { today }) }}</template>
      </h2>
      <span v-if="list.length"
        ><b class="figure">{{ moneyText(total, settings.currency) }}</b>
        <template v-if="suppliers > 1">
          from {{ say.count(suppliers, 'supplier', 'suppliers') }}</template
        ></span
      >
    </header>
    <p v-if="!list.length" class="px-3 pb-4 text-ink-2">
      {{ busy ? 'Being worked out.' : 'Nothing runs short within a quarter of a year.' }}
    </p>
    <ul v-else>
      <li
        v-for="one in first"
        :key="one.row.thing.id"
        class="flex items-center gap-3 border-t border-line px-3 py-1.5"
      >
        <span class="flex w-[92px] shrink-0 items-end gap-1">
          <StockVessel
            v-for="(pack, nth) in packs(one)"
            :key="nth"
            :form="usualVessel(one.row.thing.kind, pack.grams)"
            :fill="0.94"
            :colour="one.row.thing.colour"
            :scale="0.42"
          />
        </span>
        <span class="min-w-0 flex-1 leading-[18px]">
          <b class="block truncate text-[13.5px]"
            >{{ short(one.row.thing.name) }}, {{ packText(one) }}</b
          >
          <span class="block truncate text-[12.5px] text-ink-2"
            >{{ one.by ? `runs out from ${dayText(one.by, { today })}` : 'nothing is there'
            }}<template v-if="one.spoils"> · more than is used before it spoils</template></span
          >
        </span>
        <span class="figure">{{ moneyText(one.bought.price, settings.currency) }}</span>
      </li>
    </ul>
  </section>
</template>
