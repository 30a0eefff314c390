<script setup lang="ts">
import type { OwnLiquid } from '#contracts/material'
import { liquidMoments, waysOfLiquid } from '#contracts/words'
import { momentNames, wayNames } from '~/utils/moments'

/** The values of a liquid. */
const liquid = defineModel<OwnLiquid>({ required: true })
</script>

<template>
  <div class="grid gap-4">
    <div class="flex flex-wrap gap-4">
      <LabelledNumber v-model="liquid.water" says="Water" kind="percent" :min="0" :max="1" />
      <LabelledNumber v-model="liquid.fat" says="Fat" kind="percent" :min="0" :max="1" />
      <LabelledNumber
        v-model="liquid.fatSap"
        says="Value of its fat"
        :decimals="0"
        :min="0"
        :max="400"
      />
      <LabelledNumber v-model="liquid.sugar" says="Sugar" kind="percent" :min="0" :max="1" />
    </div>
    <div class="flex flex-wrap gap-4">
      <FieldRow says="Usually goes">
        <select v-model="liquid.moment" class="field font-normal">
          <option v-for="moment in liquidMoments" :key="moment" :value="moment">
            {{ momentNames[moment] }}
          </option>
        </select>
      </FieldRow>
      <FieldRow says="Its way">
        <select v-model="liquid.way" class="field font-normal">
          <option v-for="way in waysOfLiquid" :key="way" :value="way">
            {{ wayNames[way] }}
          </option>
        </select>
      </FieldRow>
    </div>
    <FieldRow says="What to mind">
      <input v-model="liquid.mind" class="field font-normal" maxlength="300" />
    </FieldRow>
  </div>
</template>
