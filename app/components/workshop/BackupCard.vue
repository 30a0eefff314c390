<script setup lang="ts">
import type { ArchiveFile, BackupPlan } from '#contracts/backup'
import { capital } from '#core/units/language'

/** The archives of the workshop on their plank, the plan that makes them, and going back to one of them. */
const store = useBackups()
const { backups, elsewhere, problem, busy, preview, last, hours, isOld } = store
const workshop = useWorkshop()
onMounted(store.load)

const planning = ref(false)
const plan = ref<BackupPlan>({ on: true, folder: '', at: '09:00' })
function openPlan() {
  if (!backups.value) return
  plan.value = { ...backups.value.plan }
  planning.value = true
}
async function keepPlan() {
  if (await store.savePlan(plan.value)) planning.value = false
}
const planWords = computed(() => {
  if (!backups.value) return ''
  const { on, at, folder } = backups.value.plan
  return on ? `every day at ${at}, to ${folder}` : 'by hand only'
})
const dayOf = ({ madeAt }: Pick<ArchiveFile, 'madeAt'>) => workshop.dayOf(madeAt)
const said = (archive: Pick<ArchiveFile, 'madeAt'>) =>
  `${dayText(dayOf(archive), { today: workshop.today })}, ${workshop.timeOf(archive.madeAt)}`
/** The newest seven stand on the plank; the others are in the list. */
const onPlank = computed(() => [...(backups.value?.archives.slice(0, 7) ?? [])].reverse())
const more = computed(() => backups.value?.archives.slice(7) ?? [])
const all = ref(false)
const asking = ref(false)
const most = 5
const shownGone = computed(() => preview.value?.gone.slice(0, all.value ? undefined : most) ?? [])
const shownBack = computed(() => preview.value?.back.slice(0, all.value ? undefined : most) ?? [])
const hidden = computed(
  () =>
    (preview.value?.gone.length ?? 0) +
    (preview.value?.back.length ?? 0) -
    shownGone.value.length -
    shownBack.value.length,
)
async function bring(event: Event) {
  const input = event.target as HTMLInputElement
  const [file] = input.files ?? []
  if (file) await store.bring(file)
  input.value = ''
}
async function goBack() {
  const name = preview.value?.name
  asking.value = false
  if (name) await store.goBack(name)
}
</script>

<template>
  <section v-if="elsewhere" class="sheet px-4 py-3" aria-label="Backup">
    <h2>Backup</h2>
    <p class="mt-1 text-ink-2">Backups are looked after on the computer Mantle runs on.</p>
  </section>
  <section
    v-else-if="backups"
    class="sheet grid overflow-hidden lg:grid-cols-[5fr_9fr]"
    aria-label="Backup"
  >
    <div class="border-line px-4 py-3 max-lg:border-b lg:border-r">
      <div class="flex flex-wrap items-baseline justify-between gap-x-3">
        <h2>Backup</h2>
        <button type="button" class="link min-h-8 text-left break-all" @click="openPlan">
          {{ planWords }}
        </button>
      </div>
      <div class="mt-2 flex flex-wrap items-center justify-between gap-3">
        <div>
          <p class="text-[22px] leading-tight font-[650]" :class="isOld ? 'text-warn' : ''">
            {{ hours === null ? 'No backup yet' : capital(ageText(hours, workshop.say))
            }}<template v-if="last && !last.missing && last.counts">, whole</template>
          </p>
          <p class="text-sm text-ink-2">
            <template v-if="last"
              >{{ holdsText(last.counts, workshop.say)
              }}{{ last.counts ? ', each one checked' : '' }}</template
            >
            <template v-else>A disk fails some day. One archive holds all of it.</template>
          </p>
          <p v-if="last?.missing" class="text-sm text-warn">
            Not everything: the files of {{ last.missing }} photos were gone already.
          </p>
        </div>
        <AppButton
          :kind="preview ? 'plain' : 'main'"
          :disabled="busy !== ''"
          @click="store.backUp()"
          >{{ busy === 'backup' ? 'Backing up…' : 'Back up now' }}</AppButton
        >
      </div>
      <p v-if="backups.problem" role="alert" class="mt-2 text-sm text-warn">
        The backup of the day was not made. {{ backups.problem }}
      </p>
      <p v-if="problem" role="alert" class="mt-2 text-stop">{{ problem }}</p>

      <ul
        v-if="onPlank.length"
        class="mt-5 flex gap-1 border-b-[6px] border-[#7f8b88]"
        aria-label="Archives, oldest first"
      >
        <li v-for="archive in onPlank" :key="archive.name" class="min-w-0 flex-1">
          <button
            type="button"
            class="flex w-full flex-col items-center pt-1"
            :aria-label="`Look at the backup of ${said(archive)}`"
            :aria-pressed="preview?.name === archive.name"
            :disabled="busy !== ''"
            @click="store.look(archive.name)"
          >
            <svg viewBox="0 0 46 46" class="w-full max-w-[46px]" aria-hidden="true">
              <rect
                x="1"
                y="2"
                width="44"
                height="8"
                :fill="preview?.name === archive.name ? 'var(--color-act)' : '#7f8b88'"
              />
              <rect
                x="3.5"
                y="11"
                width="39"
                height="34"
                fill="#fcfdfb"
                :stroke="preview?.name === archive.name ? 'var(--color-act)' : 'var(--color-ink)'"
                stroke-width="2"
              />
              <path d="M12 21 H34 M12 29 H27" stroke="#7f8b88" stroke-width="2.5" />
            </svg>
          </button>
        </li>
      </ul>
      <ul
        v-if="onPlank.length"
        class="flex gap-1 pt-1.5 text-center text-xs text-ink-2"
        aria-hidden="true"
      >
        <li
          v-for="archive in onPlank"
          :key="archive.name"
          class="min-w-0 flex-1"
          :class="preview?.name === archive.name ? 'font-bold text-act' : ''"
        >
          {{ dayText(dayOf(archive), { today: workshop.today }) }}
        </li>
      </ul>
      <details v-if="more.length" class="mt-2 text-sm">
        <summary class="link min-h-8">{{ more.length }} older</summary>
        <ul>
          <li v-for="archive in more" :key="archive.name">
            <button type="button" class="link min-h-8" @click="store.look(archive.name)">
              {{ said(archive) }}
            </button>
          </li>
        </ul>
      </details>
      <p class="mt-3 flex flex-wrap items-center gap-x-4 gap-y-1 text-sm">
        <label class="link min-h-8 cursor-pointer focus-within:outline-2">
          An archive from elsewhere…
          <input type="file" accept=".zip,application/zip" class="sr-only" @change="bring" />
        </label>
        <button
          v-if="backups.undoable"
          type="button"
          class="link min-h-8"
          :disabled="busy !== ''"
          @click="store.undo()"
        >
          Bring back what was set aside
          {{ dayText(workshop.dayOf(backups.undoable), { today: workshop.today }) }}
        </button>
      </p>
    </div>

    <div v-if="preview" class="flex flex-col px-4 py-3" aria-live="polite">
      <div class="flex flex-wrap items-baseline justify-between gap-x-3">
        <h2>If the shed went back to {{ preview.madeAt ? said(preview) : 'this archive' }}</h2>
        <span class="text-sm text-ink-2"
          >{{ preview.photos }} of {{ preview.photos + preview.missing }} photos, every page
          whole</span
        >
      </div>
      <div class="mt-3 grid flex-1 gap-5 sm:grid-cols-2 xl:grid-cols-[1fr_1fr_190px]">
        <div>
          <h3 class="font-[650]">Would be gone from here</h3>
          <ul class="mt-1.5 grid gap-1.5">
            <li v-for="(one, index) in shownGone" :key="index" class="flex items-center gap-2">
              <BarThumbnail
                v-if="one.thumbnail"
                :thumbnail="one.thumbnail"
                :width="34"
                :height="24"
              />
              <i v-else class="mx-3 size-2 shrink-0 rounded-full bg-ink" />
              {{ differenceText(one, workshop.say) }}
            </li>
            <li v-if="!preview.gone.length" class="text-ink-2">nothing</li>
          </ul>
        </div>
        <div>
          <h3 class="font-[650]">Would come back</h3>
          <ul class="mt-1.5 grid gap-1.5">
            <li v-for="(one, index) in shownBack" :key="index" class="flex items-center gap-2">
              <BarThumbnail
                v-if="one.thumbnail"
                :thumbnail="one.thumbnail"
                :width="34"
                :height="24"
              />
              <i v-else class="mx-3 size-2 shrink-0 rounded-full bg-ink" />
              {{ differenceText(one, workshop.say) }}
            </li>
            <li v-if="!preview.back.length" class="text-ink-2">nothing</li>
          </ul>
          <h3 class="mt-4 font-[650]">Would stay as it is</h3>
          <p class="mt-1.5 flex items-center gap-2 text-ink-2">
            <i class="mx-3 size-2 shrink-0 rounded-full bg-[#7f8b88]" /> Devices, their rights, the
            calendar’s address
          </p>
        </div>
        <div class="flex flex-col justify-between gap-4">
          <p class="text-sm">
            The shed of today is put aside first, with its own date. One key brings it back.
          </p>
          <div class="grid gap-2">
            <AppButton :disabled="busy !== ''" @click="asking = true">{{
              busy === 'restore' ? 'Going back…' : 'Go back to it'
            }}</AppButton>
            <a class="link text-center text-sm" :href="`/api/backups/${preview.name}`" download
              >Keep the file elsewhere</a
            >
          </div>
        </div>
      </div>
      <button v-if="hidden || all" type="button" class="link mt-2 self-start" @click="all = !all">
        {{ all ? 'Fewer' : `All ${preview.gone.length + preview.back.length}` }}
      </button>
    </div>
    <p v-else class="m-auto max-w-md px-6 py-10 text-center text-ink-2">
      {{
        busy === 'preview'
          ? 'Looking through it, every entry…'
          : busy === 'restore'
            ? 'Going back…'
            : onPlank.length
              ? 'Choose a backup to see what going back to it would change. Nothing is changed by looking.'
              : 'Once there is a backup, what going back to it would change is shown here before anything is.'
      }}
    </p>
    <LazyAppDialog v-if="planning" v-model="planning" title="A backup every day">
      <form class="grid gap-4 px-5 py-4" @submit.prevent="keepPlan">
        <label class="flex items-center gap-2 font-semibold">
          <input v-model="plan.on" type="checkbox" class="size-5" /> Back up every day by itself
        </label>
        <FieldRow says="At">
          <input v-model="plan.at" type="time" class="field w-36 font-normal" required />
        </FieldRow>
        <FieldRow says="Into the folder">
          <input v-model="plan.folder" class="field font-normal" maxlength="400" required />
        </FieldRow>
        <p class="text-sm text-ink-2">
          A stick, another disk, or a folder that is copied elsewhere: a backup on the same disk
          goes with it. Seven days, four weeks and twelve months stay; what is made by hand stays
          too. An hour that was missed is made up for when Mantle runs again.
        </p>
        <p v-if="problem" role="alert" class="text-stop">{{ problem }}</p>
        <button type="submit" class="hidden" tabindex="-1" aria-hidden="true" />
      </form>
      <template #actions>
        <AppButton @click="planning = false">Cancel</AppButton>
        <AppButton kind="main" :disabled="busy !== ''" @click="keepPlan">Keep</AppButton>
      </template>
    </LazyAppDialog>
    <LazyAppDialog v-if="asking" v-model="asking" title="Go back to it">
      <p class="px-5 py-4">
        {{ preview?.gone.length ?? 0 }} things of today would be gone from here,
        {{ preview?.back.length ?? 0 }} would come back. What is here now is set aside with today’s
        date, and can be brought back.
      </p>
      <template #actions>
        <AppButton @click="asking = false">Stay here</AppButton>
        <AppButton kind="main" @click="goBack">Go back</AppButton>
      </template>
    </LazyAppDialog>
  </section>
</template>
