<script setup lang="ts">
import { Dialog, DialogPanel, DialogTitle } from '@headlessui/vue'
import { X } from '@lucide/vue'
import { useEventListener } from '@vueuse/core'

/**
 * The one dialog: title, content, and actions at the bottom right. Escape closes it, and a click outside where nothing is typed
 * in it. What was typed and is not kept is asked about first.
 */
const { live = false, keep = undefined } = defineProps<{
  title: string
  wide?: boolean
  huge?: boolean
  hideTitle?: boolean
  /** On a phone it is the whole screen. */
  full?: boolean
  /** What is changed in it holds at once: there is nothing to keep. */
  live?: boolean
  /** Keeps what is typed, and what that is called; not there while it cannot be kept. */
  keep?: { says: string; act: () => unknown }
}>()
const open = defineModel<boolean>({ required: true })
const { say } = storeToRefs(useWorkshop())

type Field = HTMLInputElement | HTMLTextAreaElement | HTMLSelectElement
const fields = ':is(input, textarea, select):not([type=search], [type=hidden], [role=combobox])'
const panel = ref<InstanceType<typeof DialogPanel>>()
const body = () => panel.value?.$el as HTMLElement | undefined
const valueOf = (field: Field) =>
  'checked' in field && /checkbox|radio/.test(field.type) ? String(field.checked) : field.value
/** Fields as they stood before somebody changed them. */
const before = new Map<Field, string>()
const touched = new Set<Field>()
function remember({ target }: Event) {
  if (target instanceof HTMLElement && target.matches(fields) && !before.has(target as Field))
    before.set(target as Field, valueOf(target as Field))
}
function touch({ target }: Event) {
  if (target instanceof HTMLElement && target.matches(fields)) touched.add(target as Field)
}
/** What stands in a part that is marked as live is kept with every change. */
const typed = () =>
  live
    ? 0
    : [...touched].filter(
        (field) =>
          field.isConnected &&
          !field.closest('[data-live]') &&
          before.get(field) !== valueOf(field),
      ).length
/** What is typed so far is kept: nobody is asked about it any more. */
function kept() {
  before.clear()
  touched.clear()
}
watch(open, (now) => now || kept())
defineExpose({ kept })

/** How many fields are typed and not kept, once somebody wants to leave. */
const asking = ref(0)
const goOn = ref<HTMLElement>()
/** Whether the last act was a key: Escape and a click outside look alike otherwise. */
let byKey = false
useEventListener(document, 'keydown', () => (byKey = true), { capture: true })
useEventListener(document, 'pointerdown', () => (byKey = false), { capture: true })
function leave() {
  asking.value = 0
  open.value = false
}
async function wish() {
  // Escape once more: nothing happens to what was typed.
  if (asking.value) return void (asking.value = 0)
  const count = Math.max(typed(), keep ? 1 : 0)
  if (!count) return leave()
  asking.value = count
  await nextTick()
  goOn.value?.focus()
}
const closing = () => {
  if (byKey || !body()?.querySelector(fields)) void wish()
}
async function keepIt() {
  asking.value = 0
  await keep?.act()
}
</script>

<template>
  <Dialog :open="open" class="relative z-40" @close="closing">
    <div class="fixed inset-0 bg-[#20292b]/50" aria-hidden="true" />
    <div
      class="fixed inset-0 flex items-start justify-center overflow-y-auto p-4"
      :class="[huge ? 'pt-[4vh]' : 'pt-[8vh]', full ? 'max-sm:!p-0' : '']"
    >
      <DialogPanel
        ref="panel"
        class="sheet relative w-full"
        :class="[
          huge ? 'max-w-[1200px]' : wide ? 'max-w-3xl' : 'max-w-lg',
          full
            ? 'max-sm:flex max-sm:min-h-dvh max-sm:flex-col max-sm:rounded-none max-sm:border-0'
            : '',
        ]"
        @focusin="remember"
        @input="touch"
        @change="touch"
      >
        <DialogTitle
          as="h2"
          :class="[
            hideTitle
              ? 'sr-only'
              : 'border-b border-line-2 py-3 pr-14 pl-5 text-[17px] font-bold text-ink',
            full ? 'max-sm:bg-slate max-sm:py-4 max-sm:pl-4 max-sm:!text-white' : '',
          ]"
          >{{ title }}<slot name="beside"
        /></DialogTitle>
        <slot />
        <div
          v-if="asking"
          role="group"
          aria-label="Not kept yet"
          class="flex flex-wrap items-center justify-end gap-3 bg-warn-ground px-5 py-3 text-warn"
        >
          <b class="mr-auto"
            >{{
              keep ? `${keep.says}?` : `${say.count(asking, 'field is', 'fields are')} not kept.`
            }}
          </b>
          <AppButton v-if="keep" @click="keepIt">{{ keep.says }}</AppButton>
          <button
            ref="goOn"
            type="button"
            class="rounded-sm border border-line-3 bg-field px-3.5 py-2 font-[550] text-on-field"
            @click="asking = 0"
          >
            Go on typing
          </button>
          <AppButton @click="leave">Throw away</AppButton>
        </div>
        <div
          v-if="$slots.actions"
          class="flex flex-wrap justify-end gap-3 border-t border-line-2 px-5 py-3"
        >
          <slot name="actions" :close="wish" />
        </div>
        <!-- Last, so that focus starts in the content and Enter does what the dialog is for. -->
        <button
          v-if="!hideTitle"
          type="button"
          class="absolute top-2.5 right-3 rounded-sm p-1.5"
          :class="
            full
              ? 'max-sm:top-1.5 max-sm:right-1 max-sm:min-h-11 max-sm:min-w-11 max-sm:text-white'
              : ''
          "
          aria-label="Close"
          @click="wish"
        >
          <X :size="18" />
        </button>
      </DialogPanel>
    </div>
  </Dialog>
</template>
