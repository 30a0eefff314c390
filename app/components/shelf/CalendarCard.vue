<script setup lang="ts">
import { CalendarDays } from '@lucide/vue'

/** The calendar: a file to take along, an address that calendars read again and again. */
const open = ref(false)
const path = ref('')
const problem = ref('')
const copied = ref(false)
const address = computed(() => (path.value ? `${location.origin}${path.value}` : ''))
async function ask(how: 'get' | 'post') {
  try {
    const answer =
      how === 'get'
        ? await api.get<{ path: string }>('/api/calendar')
        : await api.post<{ path: string }>('/api/calendar', {})
    path.value = answer.path
    copied.value = false
    problem.value = ''
  } catch (error) {
    problem.value = sentenceOf(error)
  }
}
function show() {
  open.value = true
  void ask('get')
}
/** Whether this browser tells what is due; null where it cannot. */
const telling = useDueNotices()
async function copy() {
  try {
    await navigator.clipboard.writeText(address.value)
    copied.value = true
  } catch {
    problem.value = 'This browser does not let Mantle copy; select the address and copy it.'
  }
}
</script>

<template>
  <AppButton @click="show"><CalendarDays :size="16" aria-hidden="true" /> Calendar</AppButton>
  <AppDialog v-model="open" title="What is due, in your calendar" live>
    <div class="grid gap-3 px-5 py-4">
      <p class="text-ink-2">
        Unmoulding, tests, weigh-ins, turning and ready dates. The file is as of now; the address is
        read again by your calendar and follows every change.
      </p>
      <a v-if="path" :href="path" download="soap.ics" class="link w-fit">Take the file</a>
      <FieldRow says="Private address">
        <input
          :value="address"
          class="field font-normal"
          readonly
          @focus="($event.target as HTMLInputElement).select()"
        />
      </FieldRow>
      <p class="text-sm text-ink-2">
        Whoever knows it can read it. It works on this computer; from others only once Mantle is
        opened to the local network.
      </p>
      <div class="border-t border-line-2 pt-3">
        <label v-if="telling.can.value" class="flex items-center gap-2 font-semibold"
          ><input
            type="checkbox"
            :checked="telling.on.value"
            @change="telling.set(($event.target as HTMLInputElement).checked)"
          />
          Tell me on this computer, while Mantle is open</label
        >
        <p v-else class="text-sm text-ink-2">
          This browser tells nothing by itself: it does so only on this computer (127.0.0.1) or over
          a secure address, and when its settings allow notices.
        </p>
        <p v-if="telling.refused.value" class="text-sm text-warn">
          The browser does not allow notices from Mantle; its settings for this page can.
        </p>
      </div>
      <p v-if="problem" role="alert" class="font-semibold text-stop">{{ problem }}</p>
    </div>
    <template #actions>
      <AppButton @click="ask('post')">Another address</AppButton>
      <AppButton kind="main" :disabled="!address" @click="copy">{{
        copied ? 'Copied' : 'Copy the address'
      }}</AppButton>
    </template>
  </AppDialog>
</template>
