<script setup lang="ts">
import { Monitor, Scale, Smartphone, Tablet } from '@lucide/vue'
import { rights, type Right } from '#contracts/rights'

/** Other tablets and scales: access from the local network, the code that pairs, who is paired and what each may do. */
interface Device {
  id: string
  name: string
  rights: Right[]
  pairedAt: string
  seenAt: string | null
}
interface LanAccess {
  open: boolean
  secure: boolean
  addresses: string[]
  paired: Device[]
}
const toasts = useToasts()
const workshop = useWorkshop()
const lan = ref<LanAccess | null>(null)
const elsewhere = ref(false)
const code = ref<{ code: string; until: number } | null>(null)
const address = computed(
  () => `${lan.value?.addresses[0] ?? location.origin}/pair?code=${code.value?.code ?? ''}`,
)
const key = ref('')
async function load() {
  try {
    lan.value = await api.get<LanAccess>('/api/lan')
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
  return attempt(() => api.put('/api/lan', { open }))
}
const pair = () =>
  attempt(async () => {
    key.value = ''
    code.value = await api.post<{ code: string; until: number }>('/api/lan/code')
  })
const makeKey = () =>
  attempt(async () => {
    code.value = null
    const name = `Scale ${(lan.value?.paired.length ?? 0) + 1}`
    key.value = (await api.post<{ secret: string }>('/api/lan/key', { name })).secret
  })
const lockOut = ({ id, name }: Device) =>
  attempt(async () => {
    await api.remove(`/api/lan/paired/${id}`)
    toasts.show(`${name} is locked out, and what it was showing has ended.`)
  })
const toggle = ({ id, rights: now }: Device, right: Right) =>
  attempt(() =>
    api.put(`/api/lan/paired/${id}`, {
      rights: now.includes(right) ? now.filter((one) => one !== right) : [...now, right],
    }),
  )
/** What can be given to a device with a screen; readings are a scale's. */
const words = rights.filter((right) => right !== 'readings')
const onlySends = ({ rights: all }: Device) => all.length === 1 && all[0] === 'readings'
const iconOf = (device: Device) =>
  onlySends(device) ? Scale : /phone/i.test(device.name) ? Smartphone : Tablet
const seen = ({ seenAt, pairedAt }: Device) =>
  seenAt
    ? `seen ${dayText(workshop.dayOf(seenAt), { today: workshop.today })}`
    : `paired ${dayText(workshop.dayOf(pairedAt), { today: workshop.today })}`
</script>

<template>
  <section class="sheet flex flex-col" aria-label="Devices, and what each may do">
    <div class="flex items-center justify-between border-b border-line-2 px-4 py-2.5">
      <h2>Devices, and what each may do</h2>
      <button v-if="lan?.open" type="button" class="link min-h-8" @click="pair">Pair one</button>
    </div>
    <p v-if="elsewhere" class="px-4 py-3 text-ink-2">
      This device is paired. LAN access and pairings are looked after on the computer Mantle runs
      on.
    </p>
    <template v-else-if="lan">
      <ul>
        <li class="flex items-center gap-3 border-b border-line-2 px-4 py-3">
          <Monitor :size="34" :stroke-width="1.4" aria-hidden="true" />
          <div class="mr-auto">
            <b class="font-[650]">This computer</b>
            <p class="text-sm text-ink-2">where Mantle runs: it may do all of it</p>
          </div>
          <span class="text-sm font-semibold text-know">here</span>
        </li>
        <li
          v-for="device in lan.paired"
          :key="device.id"
          class="flex items-start gap-3 border-b border-line-2 px-4 py-3"
        >
          <component :is="iconOf(device)" :size="34" :stroke-width="1.4" aria-hidden="true" />
          <div class="mr-auto min-w-0">
            <b class="font-[650]">{{ device.name }}</b>
            <p class="text-sm text-ink-2">{{ seen(device) }}</p>
            <p v-if="onlySends(device)" class="mt-1 text-sm font-semibold">
              sends its readings to the bench, no more
            </p>
            <div
              v-else
              class="mt-1 -ml-1 flex flex-wrap gap-x-0.5"
              role="group"
              :aria-label="`What ${device.name} may do`"
            >
              <button
                v-for="right in words"
                :key="right"
                type="button"
                class="min-h-8 rounded-sm px-1 text-xs"
                :class="
                  device.rights.includes(right)
                    ? 'font-[650]'
                    : 'text-ink-2 line-through decoration-1'
                "
                :aria-pressed="device.rights.includes(right)"
                @click="toggle(device, right)"
              >
                {{ right }}
              </button>
            </div>
          </div>
          <button type="button" class="link min-h-8 shrink-0" @click="lockOut(device)">
            Lock out
          </button>
        </li>
      </ul>
      <div v-if="code" class="flex items-center gap-4 border-b border-line-2 px-4 py-3">
        <QrPicture
          class="size-28 bg-field"
          :text="address"
          says="The address and the code as a QR code"
        />
        <p>
          <b class="figure block text-key tracking-wider"
            >{{ code.code.slice(0, 3) }} {{ code.code.slice(3) }}</b
          >counts once, for ten minutes; on the device open
          <b v-for="one in lan.addresses" :key="one" class="block font-mono text-sm break-all">{{
            one
          }}</b>
        </p>
      </div>
      <p v-if="key" class="border-b border-line-2 px-4 py-3 text-sm">
        Shown once, sent as <code>Authorization: Bearer</code>:
        <code class="block break-all select-all">{{ key }}</code>
      </p>
      <div class="mt-auto px-4 py-3">
        <div class="flex items-center justify-between gap-3">
          <label class="flex items-center gap-2 font-semibold">
            <input
              type="checkbox"
              class="size-5"
              :checked="lan.open"
              @change="setOpen(($event.target as HTMLInputElement).checked)"
            />
            Open to the local network
          </label>
          <button v-if="lan.open" type="button" class="link min-h-8" @click="makeKey">
            A key for a scale
          </button>
        </div>
        <p class="mt-1 text-sm text-ink-2">
          <template v-if="!lan.open"
            >Mantle answers on this computer only. Opened, paired devices can follow a batch and
            take over.</template
          >
          <template v-else-if="lan.secure"
            >Paired devices only, by HTTPS through your own proxy: nobody else can read
            along.</template
          >
          <template v-else
            >Paired devices only. But nothing is encrypted on the way: whoever is in the same Wi-Fi
            can read along, formulas, batches and the key of the device too. Use a network of your
            own, or HTTPS (docs/network.md); a scale by cable and a reload without Mantle need it as
            well.</template
          >
        </p>
        <p v-if="lan.open && !lan.addresses.length" class="mt-2 text-warn">
          This computer has no address in a network at the moment.
        </p>
      </div>
    </template>
  </section>
</template>
