<script setup lang="ts">
import type { FattyAcid } from '#contracts/result'
import { fattyAcidNames } from '#core/chemistry/fattyAcids'

/** The fatty acids of the oils as one bar, saturated on the left, unsaturated on the right. */
const props = defineProps<{ acids: Partial<Record<FattyAcid, number>>; title?: string }>()
const { say } = storeToRefs(useWorkshop())
const colours: Record<FattyAcid, string> = {
  caprylic: '#16414c',
  capric: '#215260',
  lauric: '#2e5f6b',
  myristic: '#5b93a0',
  palmitic: '#7c6a46',
  stearic: '#a48c5b',
  arachidic: '#bda777',
  behenic: '#cdbb93',
  palmitoleic: '#8f8c3a',
  oleic: '#b9b35a',
  gondoic: '#cfca86',
  erucic: '#ddd9a6',
  linoleic: '#d9a03f',
  linolenic: '#c4722b',
  ricinoleic: '#9c8fb0',
}
const parts = computed(() =>
  fattyAcidNames
    .map((acid) => ({ acid, share: props.acids[acid] ?? 0 }))
    .filter(({ share }) => share >= 0.005),
)
</script>

<template>
  <div>
    <h2 class="mb-1.5">{{ title ?? 'Fatty acids' }}</h2>
    <p v-if="!parts.length" class="text-ink-2">They show as soon as there is a fat.</p>
    <template v-else>
      <div class="flex h-7 gap-0.5 overflow-hidden rounded-[3px]" aria-hidden="true">
        <i
          v-for="part in parts"
          :key="part.acid"
          :style="{ width: `${part.share * 100}%`, background: colours[part.acid] }"
        />
      </div>
      <ul class="figure mt-1.5 flex flex-wrap gap-x-4 text-xs text-ink-2">
        <li v-for="part in parts" :key="part.acid" class="flex items-center gap-1.5">
          <i class="size-2 rounded-[1px]" :style="{ background: colours[part.acid] }" />{{
            part.acid
          }}
          {{ say.percent(part.share, 0) }}
        </li>
      </ul>
    </template>
  </div>
</template>
