<script setup lang="ts">
import { stations } from '~/utils/stations'

const open = useKeyHelp()
const groups = [
  {
    title: 'Everywhere',
    keys: [
      ['/', 'find or do anything'],
      ['?', 'this list'],
      ...stations.map(({ key, name }) => [`g ${key}`, `go to ${name}`]),
    ],
  },
  {
    title: 'In a formula',
    keys: [
      ['a', 'add a line by typing, as castor 5%'],
      ['w', 'water'],
      ['s', 'superfat'],
      ['v', 'versions'],
      ['Ctrl Z', 'undo'],
      ['Ctrl Shift Z', 'do again'],
      ['↑ ↓', 'in a number: one step more or less, with Shift ten'],
      ['Esc', 'leave a field, close a dialog'],
    ],
  },
  {
    title: 'On the rack',
    keys: [
      ['f', 'find'],
      ['x', 'tick the batch that has the focus'],
      ['s · w · t', 'strip, weigh, turn those that are ticked'],
      ['m · p', 'move, print them'],
      ['Ctrl Enter', 'in a round: keep all weights'],
      ['Esc', 'untick'],
    ],
  },
  {
    title: 'At the bench',
    keys: [
      ['Space', 'takes it: a weight, a point, a step'],
      ['T', 'tare'],
      ['S · K', 'a scoop, more to come · enough as it is'],
      ['0–9', 'type what the scale shows'],
      ['1–6', 'mark the stage of the batter'],
      ['B', 'blender on and off'],
      ['← →', 'look at the step before, the next'],
      ['N', 'a note'],
    ],
  },
]
</script>

<template>
  <AppDialog v-model="open" title="Keys">
    <div class="grid gap-6 px-5 py-4 sm:grid-cols-2">
      <section v-for="group in groups" :key="group.title">
        <h3 class="mb-2 font-semibold text-ink-2">{{ group.title }}</h3>
        <dl class="space-y-1.5">
          <div v-for="[key, says] in group.keys" :key="key" class="flex items-baseline gap-3">
            <dt class="w-24 shrink-0">
              <kbd>{{ key }}</kbd>
            </dt>
            <dd>{{ says }}</dd>
          </div>
        </dl>
      </section>
    </div>
  </AppDialog>
</template>
