<script setup lang="ts">
import { thumbnailOf } from '#core/batter/thumbnail'
import type { Frozen } from '#contracts/result'
import type { RunEvent } from '#contracts/run'
import { StorageSerializers, useSessionStorage } from '@vueuse/core'

/** The bench of a rehearsal: the same bench, kept on this device alone, listening to the stand-ins. */
const { frozen, guided, earlier } = defineProps<{
  frozen: Frozen
  guided: boolean
  earlier: RunEvent[][]
}>()
const router = useRouter()
const route = useRoute()
const workshop = useWorkshop()
/** One rehearsal at a time on a device; a reload goes on with it. */
const kept = useSessionStorage<{ id: string; name: string } | null>('mantle-rehearsal', null, {
  serializer: StorageSerializers.object,
})
const { name } = frozen.document
const materials = useMaterials()
if (kept.value?.name !== name) kept.value = { id: newId(), name }
const { id } = kept.value!
const setup = usualRunSetup(workshop.settings)
provideBench({
  frozen,
  name: frozen.document.name,
  number: null,
  thumbnail: thumbnailOf(frozen.document, materials.library),
  keeper: useLocalKeeper(
    id,
    new Date(workshop.clock()).toISOString(),
    setup,
    workshop.settings.scale,
  ),
  practising: true,
  guided,
  earlier,
  lessons: [],
})
function leave() {
  forgetRehearsal(id)
  kept.value = null
  // Who came from the way to a first soap goes back to it.
  void router.push(route.query.back === 'first' ? '/journal/first?rehearsed=1' : '/bench')
}
</script>

<template>
  <BenchStage @finish="leave" />
</template>
