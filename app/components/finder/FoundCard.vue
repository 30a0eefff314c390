<script setup lang="ts">
import type { Found } from '#core/finder/find'
import type { Regions } from '#core/character/regions'
import { sayFoam, saySkin } from '#core/character/words'

/** A formula that was found: its fats, where it lies, what it costs. */
const {
  found,
  title,
  regions,
  small = false,
} = defineProps<{ found: Found; title: string; regions: Regions; small?: boolean }>()
const emit = defineEmits<{ write: [] }>()
const { library } = storeToRefs(useMaterials())
const workshop = useWorkshop()
const scales = ['firmAtCut', 'wearLife', 'keeping'] as const
</script>

<template>
  <article class="sheet px-4 py-3">
    <div class="flex flex-wrap items-baseline gap-x-3">
      <h2>{{ title }}</h2>
      <span v-if="found.price !== null" class="figure ml-auto"
        ><b>{{ moneyText(found.price, workshop.settings.currency) }}</b> a kg of oils</span
      >
    </div>
    <div class="mt-2 flex h-4 gap-0.5 overflow-hidden rounded-[3px]" aria-hidden="true">
      <i
        v-for="fat in found.fats"
        :key="fat.id"
        :style="{ width: `${fat.share * 100}%`, background: library.fats.get(fat.id)?.colour }"
      />
    </div>
    <ul class="figure mt-1.5 flex flex-wrap gap-x-4">
      <li v-for="fat in found.fats" :key="fat.id">
        <b class="font-semibold">{{ workshop.say.percent(fat.share) }}</b>
        {{ library.fats.get(fat.id)?.name }}
      </li>
    </ul>
    <div v-if="!small" class="mt-3 flex flex-wrap gap-x-6 gap-y-3">
      <div class="flex gap-3">
        <TraitMap x="quickFoam" y="lastingFoam" :traits="found.traits" :regions />
        <p class="w-28 text-sm"><b class="block">Foam</b>{{ sayFoam(found.traits, regions) }}</p>
      </div>
      <div class="flex gap-3">
        <TraitMap x="greaseLift" y="gentleness" :traits="found.traits" :regions />
        <p class="w-28 text-sm"><b class="block">Skin</b>{{ saySkin(found.traits, regions) }}</p>
      </div>
      <div class="grid min-w-60 flex-1 content-start gap-2">
        <TraitScale
          v-for="trait in scales"
          :key="trait"
          :trait="trait"
          :value="found.traits[trait]"
          :region="regions[trait]"
        />
      </div>
    </div>
    <AppButton class="mt-3" :kind="small ? 'plain' : 'main'" @click="emit('write')"
      >Write it as a formula</AppButton
    >
  </article>
</template>
