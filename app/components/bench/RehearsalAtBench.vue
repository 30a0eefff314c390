<script setup lang="ts">
import type { Frozen } from '#contracts/result'
import type { RunEvent } from '#contracts/run'

/** The bench of a rehearsal: the same bench, kept on this device alone, listening to the stand-ins. */
const { frozen, guided, earlier } = defineProps<{
  frozen: Frozen
  guided: boolean
  earlier: RunEvent[][]
}>()
const router = useRouter()
const workshop = useWorkshop()
/** One rehearsal at a time on a device; a reload goes on with it. */
const key = 'mantle-rehearsal'
function rehearsalId(): string {
  const name = frozen.document.name
  try {
    const kept = JSON.parse(sessionStorage.getItem(key) ?? 'null') as {
      id: string
      name: string
    } | null
    if (kept?.name === name) return kept.id
    const id = newId()
    sessionStorage.setItem(key, JSON.stringify({ id, name }))
    return id
  } catch {
    return newId()
  }
}
const id = rehearsalId()
const setup = usualRunSetup(workshop.settings)
provideBench({
  frozen,
  name: frozen.document.name,
  number: null,
  keeper: useLocalKeeper(
    id,
    new Date(workshop.clock()).toISOString(),
    setup,
    workshop.settings.scale,
  ),
  practising: true,
  guided,
  earlier,
})
function leave() {
  forgetRehearsal(id)
  try {
    sessionStorage.removeItem(key)
  } catch {
    // switched off: nothing was kept
  }
  void router.push('/bench')
}
</script>

<template>
  <BenchStage @finish="leave" />
</template>
