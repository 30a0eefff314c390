<script setup lang="ts">
/** Other tablets and scales: the door to the local network, the code that pairs, who is paired. */
interface Reach {
  open: boolean
  addresses: string[]
  paired: { id: string; name: string; pairedAt: string }[]
}
const toasts = useToasts()
const reach = ref<Reach | null>(null)
const elsewhere = ref(false)
const code = ref<{ code: string; until: number } | null>(null)
const address = computed(
  () => `${reach.value?.addresses[0] ?? location.origin}/pair?code=${code.value?.code ?? ''}`,
)
const key = ref('')
async function load() {
  try {
    reach.value = await api.get<Reach>('/api/reach')
  } catch (error) {
    elsewhere.value = error instanceof ApiError && error.status === 403
  }
}
onMounted(load)
async function attempt(act: () => Promise<unknown>) {
  try {
    await act()
    await load()
  } catch (error) {
    toasts.show(sentenceOf(error), { bad: true })
  }
}
const setOpen = (open: boolean) => {
  code.value = null
  return attempt(() => api.put('/api/reach', { open }))
}
const pair = () =>
  attempt(async () => {
    code.value = await api.post<{ code: string; until: number }>('/api/reach/code')
  })
const makeKey = () =>
  attempt(async () => {
    key.value = (
      await api.post<{ secret: string }>('/api/reach/key', { name: 'A scale or probe' })
    ).secret
  })
const end = (id: string) => attempt(() => api.remove(`/api/reach/paired/${id}`))
</script>

<template>
  <section class="sheet px-5 py-4" aria-label="Other tablets">
    <h2 class="mb-1">A second tablet, a scale that sends</h2>
    <p v-if="elsewhere" class="text-ink-2">
      This device is paired. The door and the pairings are looked after on the computer Mantle runs
      on.
    </p>
    <template v-else-if="reach">
      <p class="text-ink-2">
        {{
          reach.open
            ? 'Mantle answers in this network, to paired devices only.'
            : 'Mantle answers on this computer only. Opened, a paired tablet can follow a batch and take over.'
        }}
      </p>
      <label class="mt-2 flex items-center gap-2 font-semibold">
        <input
          type="checkbox"
          :checked="reach.open"
          @change="setOpen(($event.target as HTMLInputElement).checked)"
        />
        Open to the local network
      </label>
      <template v-if="reach.open">
        <p class="mt-2">
          On the tablet open
          <b v-for="one in reach.addresses" :key="one" class="block font-mono">{{ one }}</b>
        </p>
        <p v-if="!reach.addresses.length" class="mt-2 text-warn">
          This computer has no address in a network at the moment.
        </p>
        <div v-if="code" class="mt-3 flex items-center gap-4">
          <QrPicture
            class="size-28 bg-white"
            :text="address"
            says="The address and the code as a QR code"
          />
          <p>
            <b class="figure block text-key tracking-wider"
              >{{ code.code.slice(0, 3) }} {{ code.code.slice(3) }}</b
            >counts once, for ten minutes
          </p>
        </div>
        <div class="mt-3 flex flex-wrap gap-2">
          <AppButton @click="pair">{{ code ? 'Another code' : 'Pair a device' }}</AppButton>
          <AppButton @click="makeKey">A key for a scale</AppButton>
        </div>
        <p v-if="key" class="mt-2 text-sm">
          Shown once, sent as <code>Authorization: Bearer</code>:
          <code class="block break-all select-all">{{ key }}</code>
        </p>
        <p class="mt-3 text-sm text-ink-2">
          In the network the page is not a secure one: no scale by cable there, and a reload needs
          Mantle to be reached. Both work on this computer, or behind HTTPS of your own.
        </p>
      </template>
      <ul v-if="reach.paired.length" class="mt-3 grid gap-1">
        <li
          v-for="one in reach.paired"
          :key="one.id"
          class="flex items-center justify-between gap-2 border-t border-line-2 pt-1"
        >
          {{ one.name }}
          <button type="button" class="link min-h-8" @click="end(one.id)">End</button>
        </li>
      </ul>
    </template>
  </section>
</template>
