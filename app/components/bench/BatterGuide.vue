<script setup lang="ts">
import type { Guide } from '#core/bench/run/guide'

/** A batter in doubt: what to do now in large, why, the steps with the one that is on, and what the two things to see look like. */
const { guide, blender } = defineProps<{ guide: Guide; blender: boolean }>()
const { say } = storeToRefs(useWorkshop())
const heading = computed(() => {
  if (guide.id === 'too-far') return guide.says
  switch (guide.phase) {
    case 'stop':
      return blender ? 'Stop. Blender out.' : 'Stop. Hands off.'
    case 'wait':
      return 'Hands off.'
    case 'look':
      return guide.id === 'too-fast' ? 'Lift the blender: does it part?' : 'Does it weep?'
    case 'by-hand':
      return 'Stir by hand.'
    case 'remedy':
      return 'It runs away.'
  }
})
/** Which of the steps is on, counted from 0; none where they are choices. */
const on = computed(() => {
  if (guide.id !== 'false-trace') return null
  return guide.phase === 'look' ? 1 : 0
})
/** °C on a line: oils, lye, what they make together, and where fat sets. */
const line = computed(() => {
  const { lyeC, oilsC, mixedC, setsC } = guide.mixed
  if (lyeC === null || oilsC === null || mixedC === null || setsC === null) return null
  const low = Math.min(lyeC, oilsC, setsC) - 3
  const high = Math.max(lyeC, oilsC, setsC) + 3
  const x = (celsius: number) => ((celsius - low) / (high - low)) * 400
  return {
    oils: x(oilsC),
    lye: x(lyeC),
    mixed: x(mixedC),
    sets: x(setsC),
    oilsC,
    lyeC,
    mixedC,
    setsC,
  }
})
const looks = computed(() => ['stop', 'wait', 'look'].includes(guide.phase))
const anchor = (x: number) => (x < 60 ? 'start' : x > 340 ? 'end' : 'middle')
</script>

<template>
  <section role="alert" :aria-label="guide.says">
    <div class="border-l-8 border-[#f3c24b] bg-[#2d2a1c] px-5 py-4">
      <h2 class="text-[30px] leading-tight font-bold !text-ink sm:text-[44px]">{{ heading }}</h2>
      <p class="figure mt-1 text-[16px] text-chalk sm:text-[18px]">
        <b>{{ guide.says }}</b> {{ guide.because }}
      </p>
    </div>
    <ol class="mt-2 grid gap-2 sm:grid-cols-3">
      <li
        v-for="(text, index) in guide.steps"
        :key="text"
        class="bg-[#232d2f] px-3 py-2 text-[15px]"
        :class="on === index ? 'outline-2 outline-[#f3c24b] font-bold' : ''"
        :aria-current="on === index ? 'step' : undefined"
      >
        <span class="figure mr-1.5 text-[#f3c24b]">{{ index + 1 }}</span>{{ text }}
      </li>
    </ol>
    <svg
      v-if="line && guide.id === 'false-trace'"
      viewBox="0 -26 400 76"
      class="figure mt-3 h-auto w-full max-w-[460px] text-[15px] font-bold"
      role="img"
      :aria-label="`Oils ${say.temperature(line.oilsC)}, lye ${say.temperature(line.lyeC)}, mixed ${say.temperature(line.mixedC)}; the fat sets below ${say.temperature(line.setsC)}`"
    >
      <rect x="0" y="0" width="400" height="24" fill="#283335" />
      <rect x="0" y="0" :width="line.sets" height="24" fill="#54502f" />
      <g fill="#e0bf5a">
        <rect :x="line.oils - 3" y="-8" width="6" height="34" />
        <text :x="line.oils" y="-12" :text-anchor="anchor(line.oils)">
          oils {{ say.temperature(line.oilsC) }}
        </text>
      </g>
      <g fill="#ff8a75">
        <rect :x="line.lye - 3" y="-8" width="6" height="34" />
        <text
          :x="line.lye"
          :y="Math.abs(line.lye - line.oils) < 110 ? 44 : -12"
          :text-anchor="anchor(line.lye)"
        >
          lye {{ say.temperature(line.lyeC) }}
        </text>
      </g>
      <rect :x="line.mixed - 3" y="-4" width="6" height="34" fill="#fff" />
      <rect :x="line.sets - 1.5" y="-6" width="3" height="36" fill="#f3c24b" />
      <text :x="line.sets" y="44" fill="#f3c24b" :text-anchor="anchor(line.sets)">
        sets below {{ say.temperature(line.setsC) }}
      </text>
    </svg>
    <div v-if="looks" class="mt-3 grid grid-cols-2 gap-2">
      <figure class="bg-[#232d2f] px-3 py-2">
        <svg viewBox="0 0 250 84" class="h-auto w-full max-w-[250px]" aria-hidden="true">
          <path
            d="M10 14 Q14 78 46 80 H104 Q136 78 140 14 Z"
            fill="#e7d9b0"
            stroke="#8c9896"
            stroke-width="3"
          />
          <path d="M11 16 H139 V28 Q75 34 12 28 Z" fill="#b98a2b" />
          <g fill="#8d7b45">
            <circle cx="42" cy="46" r="3" />
            <circle cx="58" cy="60" r="3.5" />
            <circle cx="80" cy="44" r="3" />
            <circle cx="98" cy="58" r="4" />
            <circle cx="112" cy="46" r="3" />
            <circle cx="70" cy="70" r="2.5" />
          </g>
          <ellipse cx="64" cy="50" rx="11" ry="4" fill="#cfe0ea" />
          <ellipse cx="104" cy="66" rx="9" ry="3" fill="#cfe0ea" />
          <path d="M192 0 V28 L178 44 H222 L208 28 V0 Z" fill="#8c9896" />
          <path d="M176 44 H224 V64 H176 Z" fill="#cbb788" />
          <g fill="#8d7b45">
            <circle cx="186" cy="52" r="3" />
            <circle cx="202" cy="58" r="3.5" />
            <circle cx="214" cy="50" r="3" />
          </g>
          <path d="M186 64 V78 M212 64 V72" stroke="#b98a2b" stroke-width="4" />
        </svg>
        <figcaption>
          <b class="text-[18px] text-[#f3c24b]">Weeps, dull, grainy</b>
          <small class="block text-[14px] text-ink-2">oil at the edge, grain on the blender</small>
        </figcaption>
      </figure>
      <figure class="bg-[#232d2f] px-3 py-2">
        <svg viewBox="0 0 250 84" class="h-auto w-full max-w-[250px]" aria-hidden="true">
          <path
            d="M10 14 Q14 78 46 80 H104 Q136 78 140 14 Z"
            fill="#e7d9b0"
            stroke="#8c9896"
            stroke-width="3"
          />
          <path d="M34 18 Q52 6 72 16 T116 14" fill="none" stroke="#8d7b45" stroke-width="5" />
          <path d="M46 30 H104" stroke="#fff" stroke-width="4" />
          <path d="M192 0 V28 L178 44 H222 L208 28 V0 Z" fill="#8c9896" />
          <path
            d="M176 44 H224 V60 Q216 68 208 62 Q206 80 200 82 Q194 80 192 62 Q184 68 176 60 Z"
            fill="#e7d9b0"
          />
          <path d="M184 52 H208" stroke="#fff" stroke-width="4" />
        </svg>
        <figcaption>
          <b class="text-[18px] text-[#9fd1b8]">Smooth and shiny</b>
          <small class="block text-[14px] text-ink-2">no ring, the blender comes out coated</small>
        </figcaption>
      </figure>
    </div>
    <div v-if="$slots.default" class="mt-3 flex flex-wrap gap-2"><slot /></div>
  </section>
</template>
