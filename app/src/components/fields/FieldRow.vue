<script setup lang="ts">
/** A row of the slip: a label, its field, and under both what is wrong with what was typed. */
defineProps<{ label: string; fieldId: string; problem?: string | null }>();
</script>

<template>
  <BFormGroup
    class="row-line field"
    role="none"
    label-class="what"
    :label="label"
    :label-for="fieldId"
    :state="problem ? false : null"
    :invalid-feedback="problem ?? undefined"
  >
    <template #default="{ ariaDescribedby }"><slot :described-by="ariaDescribedby ?? undefined" /></template>
  </BFormGroup>
</template>

<style scoped>
.field {
  flex-wrap: wrap;
  row-gap: 0.25rem;
}
.field :deep(.what) {
  margin: 0;
  padding: 0;
  flex: 1;
  cursor: text;
}
.field :deep(.invalid-feedback) {
  margin: 0;
  color: var(--brick);
  font-size: 0.9rem;
}
</style>
