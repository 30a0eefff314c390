<script setup lang="ts">
import type { Fault } from '#contracts/faults'
import { traits as traitIds, type Trait, type Use } from '#contracts/words'
import { traitRules } from '#core/character/coefficients'
import { regionsFor, usualRegions } from '#core/character/regions'
import { purposeNames } from '~/utils/purposeNames'
import { inSentence } from '#core/units/language'

/** Where bars for one use should lie, by this workshop's own judgement. */
const { use } = defineProps<{ use: Use }>()
const open = defineModel<boolean>({ required: true })
const workshop = useWorkshop()

type Draft = Record<Trait, [number | null, number | null]>
const draftOf = (regions: ReturnType<typeof regionsFor>) =>
  Object.fromEntries(traitIds.map((trait) => [trait, [...regions[trait]]])) as Draft
const draft = ref<Draft>(draftOf(regionsFor(use, workshop.settings.regions)))
const faults = ref<Fault[]>([])

async function keep() {
  const usual = usualRegions[use]
  const own: Partial<Record<Trait, [number, number]>> = {}
  for (const trait of traitIds) {
    const [low, high] = draft.value[trait]
    if (low === null || high === null) {
      faults.value = [{ path: trait, says: 'needs both ends.' }]
      return
    }
    if (low !== usual[trait][0] || high !== usual[trait][1]) own[trait] = [low, high]
  }
  try {
    await workshop.save((now) => {
      const { [use]: _, ...others } = now.regions
      return { regions: Object.keys(own).length ? { ...others, [use]: own } : others }
    })
    open.value = false
  } catch (error) {
    faults.value = error instanceof ApiError ? error.faults : []
  }
}
const nameOf = (path: string) => {
  const trait = traitIds.find((id) => path.split('.').includes(id))
  return trait ? `${traitRules[trait].says}: ` : ''
}
</script>

<template>
  <AppDialog v-model="open" :title="`Regions: ${inSentence(purposeNames[use])}`">
    <form class="grid gap-2 px-5 py-4" @submit.prevent="keep">
      <p class="mb-1 text-ink-2">
        Where a good bar for this use lies, on scales of 0 to 100. They hold for every formula of
        this use.
      </p>
      <div
        v-for="trait in traitIds"
        :key="trait"
        class="grid grid-cols-[1fr_80px_20px_80px] items-center gap-2"
      >
        <span class="font-semibold"
          >{{ traitRules[trait].says }}
          <small class="block text-xs font-normal text-ink-2"
            >0 {{ traitRules[trait].ends[0] }}, 100 {{ traitRules[trait].ends[1] }}</small
          ></span
        >
        <NumberField
          v-model="draft[trait][0]"
          :label="`${traitRules[trait].says}, from`"
          :decimals="0"
          :min="-50"
          :max="150"
        />
        <span class="text-center">to</span>
        <NumberField
          v-model="draft[trait][1]"
          :label="`${traitRules[trait].says}, to`"
          :decimals="0"
          :min="-50"
          :max="150"
        />
      </div>
      <p v-for="fault in faults" :key="fault.path" role="alert" class="text-stop">
        {{ nameOf(fault.path) }}{{ fault.says }}
      </p>
      <button type="submit" class="hidden" tabindex="-1" aria-hidden="true" />
    </form>
    <template #actions="{ close }">
      <AppButton class="mr-auto" @click="draft = draftOf(usualRegions[use])"
        >The usual ones</AppButton
      >
      <AppButton @click="close">Cancel</AppButton>
      <AppButton kind="main" @click="keep">Keep</AppButton>
    </template>
  </AppDialog>
</template>
