<script setup lang="ts">
import { computeFormula } from '#core/formula/compute'
import { traitIds, traitsOf, unknownShare } from '#core/character/traits'
import { sayFoam, saySkin } from '#core/character/words'

/** What the bar will be like: fatty acids, foam and skin as maps, three scales, and what would help. */
const editor = useFormulaEditor()
const { result, traits, regions, document } = editor
const { library } = storeToRefs(useMaterials())
const { say } = storeToRefs(useWorkshop())
const scales = ['firmAtCut', 'wearLife', 'keeping'] as const

/** Where it was in the last named version, if there is one. */
const last = computed(() => editor.versions.value[0] ?? null)
const was = computed(
  () => last.value && traitsOf(computeFormula(last.value.document, library.value), library.value),
)
const before = computed(() => {
  const then = was.value
  const moved = then && traitIds.some((trait) => Math.abs(then[trait] - traits.value[trait]) > 0.5)
  return moved ? then : null
})
/** Where nothing is known of a part of the fats, nothing is foretold of the bar. */
const unknown = computed(() => unknownShare(result.value, library.value))
const helping = ref(false)
const editingRegions = ref(false)
const share = computed(() => ({
  poured: result.value.batter > 0 ? result.value.fattyMatter / result.value.batter : 0,
  dried: result.value.longDried > 0 ? result.value.fattyMatter / result.value.longDried : 0,
}))
</script>

<template>
  <section class="sheet mt-3.5" aria-label="What the bar will be like">
    <div
      class="grid grid-cols-[minmax(0,1fr)] sm:grid-cols-2 lg:grid-cols-[minmax(0,1fr)_350px_350px_minmax(0,1fr)]"
    >
      <div class="border-line-2 px-4 py-3 max-lg:border-b lg:border-r">
        <FattyAcidBar :acids="result.fattyAcids" />
        <p v-if="share.poured > 0" class="figure mt-1.5 text-sm">
          Fatty matter {{ say.percent(share.poured, 0) }} poured,
          {{ say.percent(share.dried, 0) }} long dried.
          <NuxtLink to="/explained#sizes-solved-back-exact" class="link">Why?</NuxtLink>
        </p>
      </div>
      <div v-if="unknown > 0.05" class="px-4 py-3 lg:col-span-3">
        <h2>What the bar will be like is not known</h2>
        <p class="mt-1">
          Of {{ say.percent(unknown, 0) }} of the fats nobody has written down the fatty acids:
          foam, skin, hardness and keeping follow from them. Write them in with the fat, from its
          certificate or from a fat that it resembles.
          <NuxtLink to="/formulas/materials" class="link">Materials</NuxtLink>
        </p>
      </div>
      <div
        v-if="unknown <= 0.05"
        class="flex gap-3 max-[360px]:flex-wrap border-line-2 px-4 py-3 max-lg:border-b lg:border-r"
      >
        <TraitMap
          x="quickFoam"
          y="lastingFoam"
          :traits
          :regions
          :before="before"
          :use="document.use"
        />
        <div class="text-sm">
          <h2>Foam</h2>
          <p class="mt-1">{{ sayFoam(traits, regions) }}</p>
        </div>
      </div>
      <div
        v-if="unknown <= 0.05"
        class="flex gap-3 max-[360px]:flex-wrap border-line-2 px-4 py-3 max-lg:border-b lg:border-r"
      >
        <TraitMap
          x="greaseLift"
          y="gentleness"
          :traits
          :regions
          :before="before"
          :use="document.use"
        />
        <div class="text-sm">
          <h2>Skin</h2>
          <p class="mt-1">{{ saySkin(traits, regions) }}</p>
        </div>
      </div>
      <div v-if="unknown <= 0.05" class="px-4 py-3">
        <div class="grid gap-2">
          <TraitScale
            v-for="trait in scales"
            :key="trait"
            :trait="trait"
            :value="traits[trait]"
            :region="regions[trait]"
            :before="before?.[trait] ?? null"
          />
        </div>
        <p class="mt-2 flex flex-wrap gap-x-4 gap-y-1 text-sm">
          <button
            type="button"
            class="link"
            :aria-expanded="helping"
            :disabled="!document.fats.length"
            @click="helping = !helping"
          >
            What would help?
          </button>
          <button type="button" class="link" @click="editingRegions = true">Regions</button>
          <NuxtLink to="/explained#what-the-bar-will-be-like-judgement" class="link"
            >Estimates. Why?</NuxtLink
          >
        </p>
        <p v-if="before" class="mt-1 text-xs text-ink-2">
          Ring and line: “{{ last?.name }}”, the last version.
        </p>
      </div>
    </div>
    <LazyFeltLine :traits="traits" :formula-id="editor.id" />
    <LazyHelpList v-if="helping" class="border-t border-line-2" />
    <LazyRegionsDialog v-if="editingRegions" v-model="editingRegions" :use="document.use" />
  </section>
</template>
