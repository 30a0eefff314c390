<script setup lang="ts">
/** What stands in the jars of lye and citric acid, as their labels say. */
const { settings } = storeToRefs(useWorkshop())
const { set } = useSettings()
const lyeLabels = [
  { is: null, says: 'nobody has read the label' },
  { is: 'naoh', says: 'sodium hydroxide' },
  { is: 'koh', says: 'potassium hydroxide' },
] as const
const citricAcids = [
  { is: null, says: 'nobody has read the label' },
  { is: 'anhydrous', says: 'anhydrous' },
  { is: 'monohydrate', says: 'monohydrate' },
] as const
const chosen = <T,>(options: readonly { is: T }[], event: Event) =>
  options[(event.target as HTMLSelectElement).selectedIndex]!.is
const setLabel = (label: (typeof lyeLabels)[number]['is']) =>
  set('The open tin of lye says', { lyeTin: { label } }, label ? 'lye-label' : undefined)
const setAcid = (citricAcid: (typeof citricAcids)[number]['is']) =>
  set('Citric acid', { citricAcid }, citricAcid ? 'citric-acid' : undefined)
/** A new tin has a new label: what the old one said no longer holds, and the next formula asks again. */
const newTin = () =>
  set('The open tin of lye says', {
    lyeTin: { label: null, open: null },
    said: settings.value.said.filter((one) => one !== 'lye-label' && one !== 'lye-open'),
  })
</script>

<template>
  <section class="sheet self-start" aria-label="In the jars">
    <h2 class="border-b border-line-2 px-4 py-2.5">In the jars</h2>
    <SettingRow says="The open tin of lye says" also="sodium potassium hydroxide naoh koh label">
      <select
        class="field"
        aria-label="The open tin of lye says"
        @change="setLabel(chosen(lyeLabels, $event))"
      >
        <option
          v-for="one in lyeLabels"
          :key="one.says"
          :selected="settings.lyeTin.label === one.is"
        >
          {{ one.says }}
        </option>
      </select>
      <button
        v-if="settings.lyeTin.label || settings.lyeTin.open"
        type="button"
        class="link"
        @click="newTin"
      >
        A new tin
      </button>
    </SettingRow>
    <SettingRow says="Citric acid" also="jar label anhydrous monohydrate">
      <select class="field" aria-label="Citric acid" @change="setAcid(chosen(citricAcids, $event))">
        <option
          v-for="one in citricAcids"
          :key="one.says"
          :selected="settings.citricAcid === one.is"
        >
          {{ one.says }}
        </option>
      </select>
    </SettingRow>
  </section>
</template>
