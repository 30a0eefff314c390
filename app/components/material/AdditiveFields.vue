<script setup lang="ts">
import type { OwnAdditive } from '#contracts/material'
import { additiveGroups, additiveMoments } from '#contracts/words'
import { momentNames } from '~/utils/moments'

/** The values of an extra. */
const extra = defineModel<OwnAdditive>({ required: true })
</script>

<template>
  <div class="grid gap-4">
    <div class="flex flex-wrap gap-4">
      <FieldRow says="Group">
        <select v-model="extra.group" class="field font-normal">
          <option v-for="group in additiveGroups" :key="group">{{ group }}</option>
        </select>
      </FieldRow>
      <FieldRow says="Goes in">
        <select v-model="extra.moment" class="field font-normal">
          <option v-for="moment in additiveMoments" :key="moment" :value="moment">
            {{ momentNames[moment] }}
          </option>
        </select>
      </FieldRow>
      <LabelledNumber
        v-model="extra.usualRate"
        says="Usual, of oils"
        kind="percent"
        :min="0"
        :max="1"
      />
      <LabelledNumber v-model="extra.highRate" says="At most" kind="percent" :min="0" :max="1" />
      <LabelledNumber
        v-model="extra.density"
        says="Density, spooned"
        unit="g/ml"
        :min="0.05"
        :max="5"
      />
      <FieldRow says="Pace">
        <select v-model.number="extra.pace" class="field font-normal">
          <option :value="-1">slower</option>
          <option :value="0">no change</option>
          <option :value="1">quicker</option>
        </select>
      </FieldRow>
    </div>
    <div class="flex flex-wrap gap-x-6 gap-y-2">
      <label class="flex items-center gap-2"
        ><input v-model="extra.tints" type="checkbox" /> Colours the bar</label
      >
      <label class="flex items-center gap-2"
        ><input v-model="extra.heats" type="checkbox" /> Runs hotter</label
      >
      <label class="flex items-center gap-2">
        <input
          type="checkbox"
          :checked="extra.disperse !== null"
          @change="extra.disperse = extra.disperse ? null : { in: 'oil', ratio: 2 }"
        />
        Stirred smooth first
      </label>
      <span v-if="extra.disperse" class="flex items-center gap-2">
        in
        <NumberField
          v-model="extra.disperse.ratio"
          label="Parts to stir it into"
          class="w-16"
          :min="0.1"
          :max="20"
        />
        parts
        <select v-model="extra.disperse.in" class="field" aria-label="Stirred into">
          <option value="oil">oil</option>
          <option value="water">water</option>
        </select>
      </span>
    </div>
    <FieldRow says="What it does">
      <input v-model="extra.does" class="field font-normal" maxlength="300" />
    </FieldRow>
  </div>
</template>
