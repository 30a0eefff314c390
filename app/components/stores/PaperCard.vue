<script setup lang="ts">
import type { Certificate, Lot, StoresAhead } from '#contracts/store'
import { moreLye, peroxideLimits } from '#core/stores/stock'
import { thingIn } from '#core/stores/things'

/** The paper of what came: its saponification value against the usual, and what that does to the lye of what is planned. */
const { lot, planned } = defineProps<{ lot: Lot; planned: StoresAhead['planned'] }>()
const certificate = defineModel<Certificate | null>({ required: true })
const materials = useMaterials()
const { say } = storeToRefs(useWorkshop())
const thing = computed(() => thingIn(materials.library, lot.thing))
const fat = computed(() => materials.library.fats.get(lot.thing))
const blank: Certificate = {
  number: '',
  sap: null,
  purity: null,
  peroxide: null,
  freeAcid: null,
  melts: null,
}
const paper = computed(() => certificate.value ?? blank)
function set(changes: Partial<Certificate>) {
  const next = { ...paper.value, ...changes }
  certificate.value = Object.values(next).some((one) => one !== null && one !== '') ? next : null
}
const usual = computed(() => fat.value?.sap ?? null)
/** From a little under the lowest to a little over the highest. */
const rail = computed(() => {
  const { low, high } = usual.value ?? { low: 180, high: 200 }
  const sap = paper.value.sap ?? low
  const from = Math.floor(Math.min(low, sap) - 2)
  return { from, to: Math.ceil(Math.max(high, sap) + 2) }
})
const at = (sap: number) =>
  `${((sap - rail.value.from) / (rail.value.to - rail.value.from)) * 100}%`
const does = computed(() => {
  const { sap } = paper.value
  if (!sap || !usual.value) return []
  return planned.flatMap(({ id, name, number, needs, saps, superfat, purity }) => {
    const grams = needs.find((need) => need.thing === lot.thing)?.grams
    const before = saps[lot.thing]
    return grams && before
      ? [
          {
            id,
            says: `${name} ${number}`,
            grams,
            more: moreLye({ grams, usual: before, sap, superfat, purity }),
          },
        ]
      : []
  })
})
const odd = computed(
  () =>
    paper.value.sap !== null &&
    usual.value !== null &&
    (paper.value.sap < usual.value.low * 0.97 || paper.value.sap > usual.value.high * 1.03),
)
const fresh = computed(() => {
  const { peroxide } = paper.value
  if (peroxide === null) return ''
  if (peroxide >= peroxideLimits.rancid) return 'rancid: do not put it away'
  return peroxide >= peroxideLimits.fresh ? 'no longer fresh' : 'fresh'
})
</script>

<template>
  <section class="sheet" :aria-label="`The paper of ${thing.name} ${lot.code}`">
    <h2 class="border-b border-line px-4 py-3 text-[14px] font-bold">
      The paper of {{ thing.name.split(',')[0] }} {{ lot.code }}
    </h2>
    <div class="grid gap-3 px-4 py-3">
      <template v-if="fat">
        <FieldRow says="Saponification value, mg KOH/g">
          <NumberField
            big
            label="Saponification value"
            unit=""
            :decimals="1"
            :model-value="paper.sap"
            @update:model-value="(sap) => set({ sap })"
          />
        </FieldRow>
        <div v-if="usual" class="relative h-9" aria-hidden="true">
          <span class="absolute inset-x-0 top-1 h-3.5 bg-line-2" />
          <span
            class="absolute top-1 h-3.5 opacity-70"
            :style="{
              left: at(usual.low),
              width: `calc(${at(usual.high)} - ${at(usual.low)})`,
              background: thing.colour,
            }"
          />
          <i
            class="absolute top-0 h-6 border-l-2 border-dashed border-ink-2"
            :style="{ left: at(usual.typical) }"
          />
          <i
            v-if="paper.sap"
            class="absolute -top-0.5 h-6 w-[3px] bg-ink"
            :style="{ left: at(paper.sap) }"
          />
          <span class="figure absolute bottom-0 left-0 text-[12px] text-ink-2">{{
            rail.from
          }}</span>
          <span class="figure absolute right-0 bottom-0 text-[12px] text-ink-2">{{ rail.to }}</span>
        </div>
        <p v-if="odd" class="font-semibold text-warn">
          Usual for it is {{ say.number(usual!.low) }} to {{ say.number(usual!.high) }}. Is that the
          saponification value, in mg KOH per g, and is it this fat?
        </p>
        <p v-else-if="paper.sap" class="text-ink-2">
          Usual is {{ say.number(usual?.typical ?? 0, 0, 1) }}. A batch takes the value of the lot
          that is weighed for it.
        </p>
        <div class="grid grid-cols-3 gap-3">
          <FieldRow says="Peroxide"
            ><NumberField
              label="Peroxide value"
              :decimals="1"
              :model-value="paper.peroxide"
              @update:model-value="(peroxide) => set({ peroxide })"
          /></FieldRow>
          <FieldRow says="Free acid"
            ><NumberField
              kind="percent"
              label="Free fatty acids"
              :model-value="paper.freeAcid"
              @update:model-value="(freeAcid) => set({ freeAcid })"
          /></FieldRow>
          <FieldRow says="Melts"
            ><TemperatureField
              label="Melts at"
              :unknown="null"
              :model-value="paper.melts"
              @update:model-value="(melts) => set({ melts })"
          /></FieldRow>
        </div>
        <p v-if="fresh" class="font-semibold" :class="fresh === 'fresh' ? 'text-ok' : 'text-warn'">
          {{ fresh }}
        </p>
      </template>
      <FieldRow v-else-if="thing.caustic" says="Purity">
        <NumberField
          kind="percent"
          label="Purity"
          :model-value="paper.purity"
          @update:model-value="(purity) => set({ purity })"
        />
      </FieldRow>
      <p v-else class="text-ink-2">It takes no lye: a paper of it changes nothing.</p>
      <FieldRow v-if="fat || thing.caustic" says="Number of the paper"
        ><input
          class="field"
          maxlength="80"
          :value="paper.number"
          @input="set({ number: ($event.target as HTMLInputElement).value })"
      /></FieldRow>
    </div>
    <div v-if="does.length" class="border-t border-line px-4 py-3">
      <h3 class="mb-1 flex justify-between font-semibold text-ink-2">
        What it does to the lye <span class="font-normal">{{ lot.code }} · lye</span>
      </h3>
      <ul>
        <li v-for="one in does" :key="one.id" class="flex items-center gap-3 py-1">
          <span class="flex-1"
            ><b class="block leading-5">{{ one.says }}</b
            ><span class="figure text-[13px] text-ink-2">{{ say.amount(one.grams) }}</span></span
          >
          <b class="figure text-[17px]" :class="one.more > 0 ? 'text-stop' : 'text-ink'"
            >{{ one.more > 0 ? '+' : '−' }}{{ say.mass(Math.abs(one.more)) }}</b
          >
        </li>
      </ul>
    </div>
  </section>
</template>
