<script setup lang="ts">
import { noseDays } from '#core/scents/noses'
import { stretchesOf } from '#core/trials/stretches'

/** A station without a scent: how to read a pot, and the three things to do. */
const emit = defineEmits<{ add: [] }>()
const maker = useScentMaker()
const { settings, say } = storeToRefs(useWorkshop())
const line = ref('')
const busy = ref(false)
let id = newId()
async function write() {
  if (busy.value || !line.value.trim()) return
  busy.value = true
  if (await maker.writeDown(line.value, id)) {
    line.value = ''
    id = newId()
  }
  busy.value = false
}
const bramble = '#85507a'
const at = (minutes: number) => ({ minutes, unsure: false })
const example = stretchesOf({ light: at(9), medium: at(19), thick: at(29), 'too-far': at(38) }, 60)
const plain = stretchesOf({ light: at(15), medium: at(32), thick: at(47), 'too-far': at(58) }, 60)
const told: {
  x: number
  y: number
  /** What it speaks of. */
  to: [number, number]
  says: string
  more: string[]
  end?: boolean
}[] = [
  {
    x: 355,
    y: 40,
    to: [388, 40],
    says: 'The scent goes in',
    more: ['at noon of the pot’s own clock'],
    end: true,
  },
  { x: 560, y: 52, to: [478, 52], says: 'It riced', more: ['dots, as long as', 'the grains last'] },
  { x: 630, y: 150, to: [552, 140], says: 'Light at 9 min', more: ['a drizzle rests', 'on top'] },
  {
    x: 630,
    y: 270,
    to: [570, 285],
    says: 'Medium at 19',
    more: ['holds a line: the', 'time your pour has'],
  },
  { x: 520, y: 440, to: [420, 402], says: 'Thick at 29', more: [] },
  {
    x: 200,
    y: 400,
    to: [262, 366],
    says: 'Won’t pour at 38',
    more: ['its lid goes on,', 'it leaves the round'],
    end: true,
  },
  {
    x: 190,
    y: 270,
    to: [330, 250],
    says: 'What you see',
    more: ['when the stick lifts'],
    end: true,
  },
  {
    x: 190,
    y: 150,
    to: [242, 170],
    says: 'Once round, one hour',
    more: ['the line thickens', 'as the batter does'],
    end: true,
  },
]
</script>

<template>
  <div>
    <h1 class="text-[26px] leading-8 font-bold text-ink">
      No scent tried yet. Your own batter knows more than the label.
    </h1>
    <p class="mb-4 text-ink-2">
      Sixty grams of it in a pot say how long a scent leaves you, whether it rices, and what it does
      to the colour.
    </p>
    <div class="grid gap-4 lg:grid-cols-[minmax(0,1fr)_432px]">
      <section class="sheet px-4 py-3">
        <div class="flex">
          <h2 class="flex-1 text-sm font-semibold text-ink-2">How to read a pot</h2>
          <span class="text-sm text-ink-2">an example: bramble</span>
        </div>
        <div class="relative max-lg:hidden">
          <svg
            viewBox="0 0 780 460"
            class="w-full text-[#6d7b7c]"
            role="img"
            aria-label="A pot from above. Its rim is an hour that begins at the top; the line on it thickens at 9, 19, 29 and 38 minutes."
          >
            <svg x="190" y="20" width="400" height="400" viewBox="0 0 100 100">
              <PotTop
                look="medium"
                colour="#e0d0b6"
                :rim="bramble"
                :stretches="example"
                :riced="{ from: 4, to: 8 }"
              />
            </svg>
            <g v-for="one in told" :key="one.says" :text-anchor="one.end ? 'end' : 'start'">
              <path
                :d="`M${one.x + (one.end ? 6 : -6)} ${one.y - 5}L${one.to[0]} ${one.to[1]}`"
                stroke="currentColor"
              />
              <circle :cx="one.to[0]" :cy="one.to[1]" r="3" class="fill-ink" />
              <text :x="one.x" :y="one.y" class="fill-ink text-[16px] font-bold">
                {{ one.says }}
              </text>
              <text
                v-for="(more, nth) in one.more"
                :key="more"
                :x="one.x"
                :y="one.y + 19 + nth * 18"
                class="fill-ink-2 text-[14px]"
              >
                {{ more }}
              </text>
            </g>
          </svg>
        </div>
        <PotTop
          class="mx-auto w-64 text-[#6d7b7c] lg:hidden"
          look="medium"
          colour="#e0d0b6"
          :rim="bramble"
          :stretches="example"
        />
        <div class="mt-2 border-t border-line pt-2">
          <div class="flex">
            <h2 class="flex-1 text-sm font-semibold text-ink-2">
              Unrolled, it lies beside all the others
            </h2>
            <span class="text-sm text-ink-2">dotted: plain is medium</span>
          </div>
          <div class="mt-2 grid grid-cols-[96px_1fr] items-center gap-x-4 gap-y-3">
            <b>Bramble</b>
            <StageRibbon :stretches="example" :colour="bramble" :plain="32" :height="38" />
            <b>Plain pot</b>
            <StageRibbon :stretches="plain" colour="#8a9794" :plain="32" :height="30" />
          </div>
        </div>
      </section>
      <div class="grid content-start gap-3">
        <section class="sheet px-4 py-4">
          <h2 class="flex items-center gap-3 text-[18px] font-bold text-ink">
            <span
              class="figure flex size-7 items-center justify-center rounded-sm bg-slate text-base text-white"
              >1</span
            >
            Write down a bottle
          </h2>
          <form class="mt-3 flex gap-2" @submit.prevent="write">
            <input
              v-model="line"
              class="field flex-1 text-[16px]"
              placeholder="bramble, Dunlin Oils, 10 g 2.40"
              aria-label="A bottle: its name, who it is from, how much, what it cost"
            />
            <AppButton :disabled="busy || !line.trim()" @click="write">Keep</AppButton>
          </form>
          <p class="mt-2 text-ink-2">
            Add what its paper says when you like: the most that may go in, what they promise.
            <button type="button" class="link font-semibold" @click="emit('add')">
              All of it in a form
            </button>
          </p>
        </section>
        <section class="sheet px-4 py-4">
          <h2 class="flex items-center gap-3 text-[18px] font-bold text-ink">
            <span
              class="figure flex size-7 items-center justify-center rounded-sm bg-slate text-base text-white"
              >2</span
            >
            Stir it into one pot
          </h2>
          <div class="mt-2 flex items-center gap-5">
            <span class="text-center text-sm text-ink-2"
              ><PotTop class="w-20 text-[#6d7b7c]" look="emulsion" />plain</span
            >
            <span class="text-center text-sm text-ink-2"
              ><PotTop class="w-20 text-[#6d7b7c]" look="separates" :rim="bramble" />with it</span
            >
            <p>
              <b>{{ say.amount(60) }}</b> of batter in each<br />
              <b>{{ say.number(60 * 0.7 * settings.scentRate, undefined, 2) }} g</b> is
              {{ say.percent(settings.scentRate, 1) }} of its oils<br />
              <span class="text-ink-2">A scale to 0.01 g, an hour, the tail of any batch</span>
            </p>
          </div>
          <AppButton kind="main" to="/scents/trials/new" class="mt-3">Plan one pot</AppButton>
        </section>
        <section class="sheet px-4 py-4">
          <h2 class="flex items-center gap-3 text-[18px] font-bold text-ink">
            <span
              class="figure flex size-7 items-center justify-center rounded-sm bg-slate text-base text-white"
              >3</span
            >
            Smell it blind, hold it beside plain
          </h2>
          <p class="mt-2 flex items-end gap-3" aria-hidden="true">
            <span v-for="(strength, nth) in [3, 3, 2, 2, 1]" :key="nth" class="text-center text-sm">
              <SmellWaves :strength="strength" class="w-12" />
              <svg viewBox="0 0 60 34" class="w-10">
                <path
                  d="M4 3 H56 L49 31 H11 Z"
                  fill="none"
                  stroke="currentColor"
                  stroke-width="3"
                />
              </svg>
              {{ noseDays[nth] }}
            </span>
            <span class="ml-auto text-center text-sm"
              ><span class="chamfer flex h-12 w-20 border border-ink/50"
                ><i class="flex-1 bg-[#e7dcc0]" /><i class="flex-1 bg-[#e0cfb0]" /></span
              >plain, with it</span
            >
          </p>
          <p class="mt-2">
            On days 1, 14, 30, 60 and 90 its jar comes up on the Shelf: codes only, in an order
            drawn for each nose.
          </p>
        </section>
      </div>
    </div>
  </div>
</template>
