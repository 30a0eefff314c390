<script setup lang="ts">
/**
 * The line on which a formula is typed: its words hang on pegs that name what each was taken for. Enter takes what is certain and
 * asks about the rest; digits answer only once it has asked.
 */
const { document, result } = useFormulaEditor()
const { say } = storeToRefs(useWorkshop())
const line = useTypedLine()
const { text, reading, asked, answers, compared, colour, ownFat, said, wantsAnswer } = line
const input = ref<HTMLInputElement | null>(null)
const picked = ref(-1)
watch([text, asked], () => (picked.value = -1))
const own = computed(() => reading.value?.own === 'colour' && !reading.value.doubtful)
const listId = useId()
const askOpen = computed({
  get: () => ownFat.value !== null,
  set: (open) => {
    if (!open) ownFat.value = null
  },
})

function onKey(event: KeyboardEvent) {
  const count = answers.value.length
  if (event.key === 'Enter') {
    event.preventDefault()
    const chosen = answers.value[picked.value]
    if (chosen) void chosen.act()
    else line.enter()
  } else if (event.key === 'Escape' && (asked.value || picked.value >= 0)) {
    event.preventDefault()
    event.stopPropagation()
    line.leave()
  } else if ((event.key === 'ArrowDown' || event.key === 'ArrowUp') && count) {
    event.preventDefault()
    const step = event.key === 'ArrowDown' ? 1 : -1
    picked.value = (picked.value + step + count + (picked.value < 0 && step < 0 ? 1 : 0)) % count
  } else if (asked.value && /^[1-9]$/.test(event.key) && answers.value[Number(event.key) - 1]) {
    event.preventDefault()
    void answers.value[Number(event.key) - 1]!.act()
  }
}

/** What water or a figure comes to, before it is taken. */
const figureSays = computed(() => {
  const now = reading.value
  if (!now || now.doubtful) return ''
  const lye = result.value.lye.pureNaoh + result.value.lye.pureKoh
  if (now.kind === 'water' && now.amount?.kind === 'grams' && lye > 0) {
    const others = result.value.water.content - result.value.water.weighed
    const ratio = (now.amount.grams + others) / lye
    return `${say.value.ratio(ratio)}, lye ${say.value.percent(1 / (1 + ratio))} strong.`
  }
  if (now.proportion?.held === 'ratio')
    return `${say.value.ratio(now.proportion.value)} water to lye, held from now on.`
  if (now.proportion?.held === 'strength')
    return `${say.value.percent(now.proportion.value)} lye, ${say.value.ratio(1 / now.proportion.value - 1)}, held from now on.`
  if (now.proportion)
    return `Water at ${say.value.percent(now.proportion.value)} of the oils, held from now on.`
  return now.says
})
const lyeSays = computed(() => {
  const lye = compared.value
  if (!lye) return document.value.fats.length ? '' : 'Type the fats first: lye follows from them.'
  if (lye.asked < 0)
    return `Stop. ${say.value.mass(lye.grams)} is more than these fats can take: lye is left over, and burns. Mine is ${say.value.massDown(lye.now)}, ${say.value.mass(lye.grams - lye.now)} less.`
  if (lye.asked > 0.25)
    return `${say.value.mass(lye.grams)} leaves ${say.value.percent(lye.asked)} of these fats as fat: soft, and soon rancid. Are all the fats typed?`
  return `${say.value.mass(lye.grams)} leaves ${say.value.percent(lye.asked)} of these fats as fat.`
})
const takes = computed(() => {
  const now = reading.value
  if (!now) return ''
  switch (now.kind) {
    case 'water':
      return now.proportion ? 'Hold it' : `Hold ${line.effectOf(now)} of water`
    case 'ratio':
      return 'Hold it'
    case 'ice':
      return `Hold ${line.effectOf(now)} as ice`
    case 'superfat':
      return `Set the superfat to ${line.effectOf(now)}`
    case 'size':
      return `Size it to ${line.effectOf(now)} of oils`
    default:
      return `Add ${now.name}`
  }
})
defineExpose({ focus: () => input.value?.focus() })
</script>

<template>
  <div class="px-3 pt-2.5 pb-3">
    <input
      ref="input"
      v-model="text"
      class="typed w-full rounded-sm border bg-field px-3 py-1.5 text-[16px] text-on-field placeholder:text-[15px] placeholder:text-ink-3"
      :class="
        !text
          ? 'border-dashed border-line-3'
          : wantsAnswer
            ? 'border-2 border-warn'
            : 'border-2 border-act'
      "
      role="combobox"
      aria-label="Add a line by typing"
      aria-autocomplete="list"
      :aria-expanded="answers.length > 0"
      :aria-controls="listId"
      :aria-activedescendant="picked >= 0 ? `${listId}-${picked}` : undefined"
      :placeholder="
        document.fats.length
          ? 'What else goes in? As 20 g honey'
          : 'Type the first fat, as olive 45% or 500 g olive'
      "
      autocomplete="off"
      spellcheck="false"
      maxlength="200"
      @keydown="onKey"
    />
    <p class="sr-only" role="status">{{ said }}</p>
    <template v-if="reading">
      <PegRow :reading="reading" class="px-[14px] text-[16px]" />
      <div v-if="line.isLye.value && !reading.doubtful">
        <p :class="compared && compared.asked < 0 ? 'font-semibold text-stop' : ''">
          {{ lyeSays }}
        </p>
        <LyeScale v-if="compared" :compared="compared" :mine="document.superfat ?? 0" />
      </div>
      <p v-else-if="reading.doubtful" class="mb-1.5" role="status">{{ reading.says }}</p>
      <p v-else-if="figureSays" class="mb-1.5 text-ink-2">{{ figureSays }}</p>
      <fieldset v-if="own" class="mb-2 flex flex-wrap items-center gap-1.5">
        <legend class="mb-1 text-sm text-ink-2">Its colour, for rows, pot and bar</legend>
        <button
          v-for="one in ownColours"
          :key="one"
          type="button"
          class="size-7 rounded-sm"
          :class="one === colour ? 'outline-2 outline-offset-2 outline-ink' : ''"
          :style="{ background: one }"
          :aria-pressed="one === colour"
          :aria-label="`Colour ${one}`"
          @click="colour = one"
        />
        <label class="link ml-1 cursor-pointer text-sm"
          >other<input v-model="colour" type="color" class="sr-only" aria-label="Another colour"
        /></label>
      </fieldset>
      <ul v-if="answers.length" :id="listId" role="listbox" aria-label="Answers" class="grid gap-1">
        <li
          v-for="(answer, index) in answers"
          :id="`${listId}-${index}`"
          :key="answer.key"
          role="option"
          :aria-selected="index === picked"
          class="flex cursor-pointer items-center gap-2.5 rounded-sm border bg-field px-2.5 py-1.5"
          :class="index === picked ? 'border-2 border-ink' : 'border-line-3 hover:border-ink'"
          @click="answer.act()"
        >
          <kbd v-if="index < 9" :class="asked ? '' : 'opacity-40'">{{ index + 1 }}</kbd>
          <b class="min-w-0 truncate font-semibold">{{ answer.says }}</b>
          <span class="figure ml-auto shrink-0 text-ink-2">{{ answer.also }}</span>
        </li>
      </ul>
      <p v-if="wantsAnswer && !asked && answers.length" class="mt-1 text-sm text-ink-2">
        <kbd>Enter</kbd> asks; then the digits answer. <kbd>Esc</kbd> adds nothing, and what was
        typed stays.
      </p>
      <button
        v-if="!wantsAnswer"
        type="button"
        class="flex w-full items-center gap-2.5 rounded-sm bg-act px-3 py-2 text-left font-semibold text-white"
        @click="line.enter()"
      >
        <kbd class="border-white/60">Enter</kbd>{{ takes }}
        <span class="figure ml-auto font-normal">{{
          ['fat', 'liquid', 'additive', 'scent'].includes(reading.kind)
            ? line.effectOf(reading)
            : ''
        }}</span>
      </button>
    </template>
    <LazyAskDialog
      v-if="askOpen"
      v-model="askOpen"
      :title="`${ownFat!.name}, a fat of your own`"
      label="Saponification value, mg KOH per g"
      text="Mantle needs it to work out the lye. It stands in the certificate or the safety sheet of the fat. Left empty, the formula stays a draft without lye."
      hint="Between 20 and 400. A figure like 0.135 is g NaOH per g: multiply it by 1402.8."
      :min="20"
      :max="400"
      :value="null"
      confirm="Add it"
      @number="line.addOwnFat"
    />
  </div>
</template>
