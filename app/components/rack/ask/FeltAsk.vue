<script setup lang="ts">
import type { FeelTest, LessonAbout } from '#contracts/rackWords'
import { feelKinds, feelTestsFor, tellsAfter } from '#core/rack/feel'
import type { AskProps, BatchAnswer } from '~/composables/useBatchDialog'

/** A bar tried in use: a score for each test that was made, those of its use first. */
const { batch } = defineProps<AskProps>()
const answer = defineModel<BatchAnswer>({ required: true })
const whole = useWholeBatch(() => batch)
const tests = computed(() => feelTestsFor(whole.value?.frozen.document.use ?? 'body'))
const scores = ref<Partial<Record<FeelTest, number>>>({})
const note = ref('')
const differently = ref('')
const about = ref<LessonAbout | null>(null)
/** Asked once: when a bar of it is used for the first time. */
const first = computed(() => !whole.value?.events.some(({ kind }) => kind === 'felt'))
const photos = ref<string[]>([])
watchEffect(
  () =>
    (answer.value = Object.keys(scores.value).length
      ? {
          kind: 'felt',
          scores: scores.value,
          note: note.value,
          photos: photos.value,
          ...(differently.value.trim()
            ? { differently: differently.value.trim(), about: about.value }
            : {}),
        }
      : null),
)
/** The same score once more takes it back. */
function score(test: FeelTest, value: number) {
  const { [test]: before, ...others } = scores.value
  scores.value = before === value ? others : { ...others, [test]: value }
}
</script>

<template>
  <ul class="max-h-[46vh] overflow-y-auto" tabindex="0" aria-label="Tests in use">
    <li
      v-for="test in tests"
      :key="test"
      class="grid gap-x-4 gap-y-1 border-t border-line-2 py-2.5 first:border-t-0 sm:grid-cols-[1fr_auto]"
    >
      <div>
        <b class="font-[650]">{{ feelKinds[test].says }}</b>
        <p class="text-sm text-ink-2">{{ feelKinds[test].how }}</p>
      </div>
      <div class="justify-self-start sm:justify-self-end">
        <div class="flex" role="group" :aria-label="feelKinds[test].says">
          <button
            v-for="value in 5"
            :key="value"
            type="button"
            class="figure -ml-px size-9 border border-line-3 font-[650] first:ml-0"
            :class="scores[test] === value ? 'bg-act text-white' : 'bg-field'"
            :aria-pressed="scores[test] === value"
            @click="score(test, value)"
          >
            {{ value }}
          </button>
        </div>
        <p class="flex justify-between gap-3 text-xs text-ink-3">
          <span>{{ feelKinds[test].low }}</span><span>{{ feelKinds[test].high }}</span>
        </p>
      </div>
    </li>
  </ul>
  <p class="text-sm text-ink-2">
    Only what you tried. From day {{ tellsAfter }} on scores correct the estimates of the formula.
  </p>
  <FieldRow says="Note">
    <input v-model="note" class="field font-normal" maxlength="500" />
  </FieldRow>
  <LessonAsk v-if="first" v-model="differently" v-model:about="about" />
  <PhotoField v-model="photos" :of="`batches/${batch.id}`" />
</template>
