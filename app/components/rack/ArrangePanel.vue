<script setup lang="ts">
import { fixtureKinds } from '#contracts/words'
import { fixtureNames, type RoomPlan } from '~/composables/useRoomPlan'

/** What is chosen in the room: its name, its room for bars, where it is; and what can be added. */
const { plan } = defineProps<{ plan: RoomPlan }>()
const emit = defineEmits<{ done: [] }>()
const { current } = plan
const places = computed(() => plan.all.value.filter(({ is }) => is === 'place'))
const fixtures = computed(() => plan.all.value.filter(({ is }) => is === 'fixture'))
/** A name as it is typed: an answer to something else that comes meanwhile leaves it alone. */
const typed = ref<string | null>(null)
watch([() => current.value?.one.id, () => current.value?.one.name], () => (typed.value = null))
const valueOf = (event: Event) => (event.target as HTMLInputElement).value
const extents = computed(() => {
  if (!current.value) return []
  const { x, y, width, height } = plan.extentOf(current.value)
  return [
    { key: 'x', says: 'from the left', is: x },
    { key: 'y', says: 'from the floor', is: y },
    { key: 'width', says: 'wide', is: width },
    ...(height === undefined ? [] : [{ key: 'height', says: 'high', is: height }]),
  ]
})
</script>

<template>
  <div>
    <h2 class="text-[17px] !font-bold !text-ink">Arrange the room</h2>
    <p class="mt-1 text-sm text-ink-2">
      Drag what hangs and stands here to where it is, its corner to its width. By keys: arrows move,
      with Alt they make it wider. Kept as you go.
    </p>
    <template v-if="current">
      <form class="mt-3 grid gap-3 border-t border-line-2 pt-3" @submit.prevent>
        <FieldRow says="Name">
          <input
            :key="current.one.id"
            class="field font-normal"
            maxlength="60"
            :value="typed ?? current.one.name"
            @input="typed = valueOf($event)"
            @change="plan.change(current!, { name: valueOf($event) })"
          />
        </FieldRow>
        <div v-if="current.is === 'place'" class="flex gap-3">
          <FieldRow says="Kind">
            <select
              class="field font-normal"
              :value="current.one.kind"
              @change="
                plan.change(current!, { kind: valueOf($event) as 'plank' | 'tray' | 'hung' })
              "
            >
              <option value="plank">plank</option>
              <option value="hung">hanging plank</option>
              <option value="tray">tray</option>
            </select>
          </FieldRow>
          <LabelledNumber
            :key="current.one.id"
            :model-value="current.one.bars"
            says="Room for"
            :label="`Room on ${current.one.name}`"
            unit="bars"
            :min="1"
            :max="10000"
            :decimals="0"
            @update:model-value="$event !== null && plan.change(current!, { bars: $event })"
          />
        </div>
        <div class="grid grid-cols-2 gap-3">
          <LabelledNumber
            v-for="one in extents"
            :key="`${current.one.id} ${one.key}`"
            :model-value="one.is ?? null"
            :says="one.says"
            :label="`${current.one.name}, ${one.says}`"
            unit="%"
            :min="one.key === 'x' || one.key === 'y' ? 0 : 2"
            :max="100"
            :decimals="0"
            @update:model-value="$event !== null && plan.put(current!, { [one.key]: $event })"
          />
        </div>
        <button
          type="button"
          class="link min-h-8 justify-self-start"
          @click="plan.remove(current!)"
        >
          Remove {{ current.one.name }}
        </button>
      </form>
    </template>
    <p v-if="plan.fault.value" role="alert" class="mt-2 text-stop">{{ plan.fault.value }}</p>
    <nav class="mt-3 border-t border-line-2 pt-3" aria-label="What is in the room">
      <ul class="flex flex-wrap gap-1.5">
        <li v-for="{ one } in [...places, ...fixtures]" :key="one.id">
          <button
            type="button"
            class="chip !min-h-8 !px-2 text-sm"
            :class="plan.chosen.value === one.id ? 'on' : ''"
            :aria-pressed="plan.chosen.value === one.id"
            @click="plan.choose(one.id)"
          >
            {{ one.name || 'without a name' }}
          </button>
        </li>
      </ul>
      <p class="mt-3 text-sm font-semibold">Add</p>
      <ul class="mt-1 flex flex-wrap gap-x-4">
        <li>
          <button type="button" class="link min-h-8" @click="plan.addPlace()">
            a place for bars
          </button>
        </li>
        <li v-for="kind in fixtureKinds" :key="kind">
          <button type="button" class="link min-h-8" @click="plan.addFixture(kind)">
            {{ fixtureNames[kind] }}
          </button>
        </li>
      </ul>
    </nav>
    <div class="mt-4 flex gap-3">
      <AppButton :disabled="!plan.canTakeBack.value" @click="plan.takeBack()">Take back</AppButton>
      <AppButton kind="main" class="ml-auto" @click="emit('done')">Done</AppButton>
    </div>
  </div>
</template>
