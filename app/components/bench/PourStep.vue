<script setup lang="ts">
import { normalAt } from '#core/bench/plan/stepKinds'
import { stageText } from '#core/bench/run/batter'
import { fillings } from '#core/mould/fillings'

/** The pour: the order of the pots, what each still needs, and the mould filling up. */
const bench = useBench()
const { step, plan, ctx, done } = bench
const say = computed(() => ctx.value.say)
const { rows, below, carriesIn } = useLayers(bench)
const wide = useWideBench()
/** Several moulds, or cavities, are filled in turn: the weight of each. */
const moulds = computed(() => {
  const { document, onScale } = ctx.value
  const all = fillings(document.size, onScale.result)
  return all.length > 1 || all.some(({ each }) => each) ? all : []
})
const sounds = useBenchSounds()
watch(carriesIn, (now, before) => {
  if (before > 0 && now === 0 && sounds.value) soundOf('look')
})
function next() {
  if (!done.value && carriesIn.value === 0) bench.finish()
}
/** The maker looked: it holds a spoon already. */
const pourNow = () => done.value || bench.finish()
useBenchKeys({ ' ': next, Enter: next, k: pourNow })
</script>

<template>
  <BenchFrame>
    <div class="mt-4 flex flex-wrap gap-8">
      <FilledMould v-if="!wide || plan.pots.length < 2" class="max-w-[420px]" />
      <ol class="figure grid min-w-56 flex-1 content-start gap-2 text-[17px]">
        <li
          v-for="row in rows"
          :key="row.index"
          class="flex items-center justify-between gap-3 border-b border-line pb-2"
          :class="row.on ? '' : 'text-ink-3'"
        >
          <span class="flex items-center gap-2"
            ><i class="size-5 border border-white/30" :style="{ background: row.colour }" />{{
              row.name || 'all of it'
            }}</span
          >
          <span class="text-right"
            >{{ say.amount(row.batter)
            }}<small class="block text-[14px] text-ink-2">{{
              say.list(
                [stageText(row.stage) ?? '', row.since === null ? '' : clockText(row.since)].filter(
                  Boolean,
                ),
              )
            }}</small></span
          >
        </li>
      </ol>
    </div>
    <ul
      v-if="moulds.length"
      class="figure mt-3 grid gap-1 text-[17px]"
      aria-label="Into each mould"
    >
      <li
        v-for="mould in moulds"
        :key="mould.name"
        class="flex justify-between gap-3 border-b border-line pb-1"
      >
        <span>{{ mould.name || 'Mould' }}</span>
        <b>{{
          mould.each
            ? `${mould.each.count} × ${say.amount(mould.each.grams)}`
            : say.amount(mould.grams)
        }}</b>
      </li>
    </ul>
    <NormalLines :lines="normalAt(step!)!" class="mt-3 text-[16px]" />
    <template #keys>
      <BenchKey says="Back" hint="←" @click="bench.look(-1)" />
      <BenchKey
        main
        :says="
          done
            ? 'Done'
            : carriesIn
              ? `${plan.pots[below!]!.name} carries in ${clockText(carriesIn)}`
              : 'Poured and tapped'
        "
        :hint="done ? '→ goes on' : carriesIn ? 'it must hold a spoon first' : 'Space'"
        :disabled="done || carriesIn > 0"
        @click="next"
      />
      <BenchKey v-if="carriesIn" says="It holds a spoon" hint="K, pour now" @click="pourNow" />
      <BenchKey v-else says="Next" hint="→" @click="bench.look(1)" />
    </template>
  </BenchFrame>
</template>
