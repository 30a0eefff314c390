<script setup lang="ts">
/** The age of the last backup, in sight once it is old: a disk fails some day. */
const workshop = useWorkshop()
const { backups, hours, isOld, load } = useBackups()
const batches = useBatches()
onMounted(load)
</script>

<template>
  <p
    v-if="backups && isOld && batches.list.length"
    class="sheet flex flex-wrap items-center justify-between gap-x-3 px-4 py-2.5 text-sm"
  >
    <span>{{
      hours === null
        ? 'Nothing of this is backed up yet.'
        : `The last backup is ${ageText(hours, workshop.say)}.`
    }}</span>
    <NuxtLink to="/workshop" class="link">Backup</NuxtLink>
  </p>
</template>
