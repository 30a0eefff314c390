<script setup lang="ts">
import type { LabelDesign, LabelWords } from '#contracts/label'
import { labelForms, type LabelForm } from '#contracts/labelWords'
import { beginDesign } from '#core/label/designs'

/** All designs, small: one is chosen, and a new one begun. */
const { words } = defineProps<{ words: LabelWords }>()
const chosen = defineModel<string>({ required: true })
const designs = useDesigns()
const toasts = useToasts()
const sorted = computed(() =>
  [...designs.list].sort((a, b) => a.document.name.localeCompare(b.document.name)),
)
/** How each form begins, shown to whoever has no design yet. */
const begun = shallowRef<{ form: LabelForm; design: LabelDesign }[]>([])
onMounted(async () => {
  if (designs.list.length) return
  const { labelDesignSchema } = await import('#contracts/label')
  begun.value = labelForms.map((form) => ({
    form,
    design: labelDesignSchema.parse(beginDesign(form, formNames[form])),
  }))
})
async function begin(form: LabelForm) {
  const { labelDesignSchema } = await import('#contracts/label')
  const taken = new Set(designs.list.map(({ document }) => document.name))
  let name = formNames[form]
  for (let nth = 2; taken.has(name); nth++) name = `${formNames[form]} ${nth}`
  await keep(labelDesignSchema.parse(beginDesign(form, name)))
}
async function keep(document: Parameters<typeof designs.save>[2]) {
  try {
    chosen.value = (await designs.save(newId(), 0, document)).id
  } catch (error) {
    toasts.show(sentenceOf(error), { bad: true })
  }
}
const current = computed(() => designs.list.find(({ id }) => id === chosen.value))
async function remove() {
  const one = current.value
  if (!one) return
  try {
    await designs.remove(one)
    chosen.value = sorted.value[0]?.id ?? ''
  } catch (error) {
    toasts.show(sentenceOf(error), { bad: true })
  }
}
const entries = computed(() => [
  ...labelForms.map((form) => ({ says: `New: ${formNames[form]}`, act: () => void begin(form) })),
  ...(current.value
    ? [
        {
          says: `A copy of ${current.value.document.name}`,
          act: () =>
            void keep({
              ...current.value!.document,
              name: `${current.value!.document.name}, copy`,
            }),
        },
        { says: `Delete ${current.value.document.name}`, act: () => void remove(), danger: true },
      ]
    : []),
])
</script>

<template>
  <section aria-labelledby="designs">
    <div class="mb-2 flex items-center justify-between border-t border-line-3 pt-2">
      <h2 id="designs" class="text-[14px] font-bold text-ink">Designs</h2>
      <AppMenu label="New design, copy, delete" :entries="entries" words
        ><span class="link px-1">New design</span></AppMenu
      >
    </div>
    <ul v-if="!sorted.length" class="flex flex-wrap items-end justify-center gap-6">
      <li v-for="one in begun" :key="one.form">
        <button
          type="button"
          class="grid min-h-11 justify-items-center gap-1 p-2 hover:outline-1 hover:outline-act"
          @click="begin(one.form)"
        >
          <LabelDrawing
            :design="one.design"
            :words="words"
            :width="Math.min(220, one.design.width * 1.6)"
            aria-hidden="true"
          />
          <b>{{ formNames[one.form] }}</b>
        </button>
      </li>
    </ul>
    <ul class="flex flex-wrap items-end gap-x-5 gap-y-3">
      <li v-for="one in sorted" :key="one.id">
        <button
          type="button"
          class="grid min-w-16 justify-items-center gap-1 p-1"
          :class="chosen === one.id ? 'outline-2 outline-act' : ''"
          :aria-pressed="chosen === one.id"
          @click="chosen = one.id"
        >
          <LabelDrawing
            :design="one.document"
            :words="words"
            :width="Math.min(120, one.document.width * 1.1)"
            class="max-h-16"
            aria-hidden="true"
          />
          <span class="text-[13px]">{{ one.document.name }}</span>
        </button>
      </li>
    </ul>
  </section>
</template>
