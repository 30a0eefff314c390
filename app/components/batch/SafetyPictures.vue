<script setup lang="ts">
/** What is always done before lye is opened, in five pictures; on paper with a box to tick. */
const { boxes = false } = defineProps<{ boxes?: boolean }>()
const points = [
  { id: 'goggles', bold: 'Goggles', says: 'and gloves, long sleeves, closed shoes' },
  { id: 'into', bold: 'Lye into water,', says: 'never water onto lye: it erupts' },
  {
    id: 'metal',
    bold: 'No aluminium:',
    says: 'steel, PP or HDPE; no thin glass',
  },
  { id: 'window', bold: 'Children and pets out,', says: 'a window open for the fumes' },
  {
    id: 'rinse',
    bold: 'On skin:',
    says: 'running water at once. In an eye: 15 minutes, then a doctor',
  },
]
</script>

<template>
  <ul class="grid grid-cols-2 gap-3 sm:grid-cols-5 print:grid-cols-5">
    <li v-for="point in points" :key="point.id" class="relative text-[13.5px] leading-snug">
      <svg
        viewBox="0 0 80 60"
        class="h-14 w-20 print:h-10"
        aria-hidden="true"
        fill="none"
        stroke="var(--color-ink)"
        stroke-width="2.4"
      >
        <template v-if="point.id === 'goggles'">
          <path d="M8 22 h64 v10 q0 14 -14 14 h-8 q-6 0 -10 -8 q-4 8 -10 8 h-8 q-14 0 -14 -14 z" />
          <path d="M2 26 h6 M72 26 h6" />
        </template>
        <template v-else-if="point.id === 'into'">
          <path d="M18 24 h44 l-6 32 h-32 z" />
          <path d="M22 40 h36" class="stroke-water print:stroke-black" />
          <path d="M40 4 v20 m-7 -7 l7 8 l7 -8" class="stroke-lye print:stroke-black" />
        </template>
        <template v-else-if="point.id === 'metal'">
          <path d="M16 24 h44 l-6 30 h-32 z M10 24 h58" />
          <text
            x="38"
            y="46"
            text-anchor="middle"
            font-size="18"
            font-weight="700"
            stroke="none"
            fill="var(--color-ink)"
          >
            Al
          </text>
          <path d="M8 56 L70 8" class="stroke-stop print:stroke-black" stroke-width="3" />
        </template>
        <template v-else-if="point.id === 'window'">
          <path d="M8 8 v46 l14 4 v-46 z M72 8 v46 l-14 4 v-46 z M22 12 h36 M22 58 h36" />
          <path
            d="M28 28 q6 -6 12 0 t12 0 M28 40 q6 -6 12 0 t12 0"
            class="stroke-water print:stroke-black"
          />
        </template>
        <template v-else>
          <path d="M12 20 h26 q12 0 12 12 v6 h-10 v-4 q0 -4 -4 -4 h-24 z M24 20 v-8 M16 12 h16" />
          <path d="M42 44 v10 M50 44 v10 M34 46 v8" class="stroke-water print:stroke-black" />
        </template>
      </svg>
      <i
        v-if="boxes"
        class="absolute top-1 right-2 size-4 border-2 border-ink"
        aria-hidden="true"
      />
      <p>
        <b>{{ point.bold }}</b> {{ point.says }}
      </p>
    </li>
  </ul>
</template>
