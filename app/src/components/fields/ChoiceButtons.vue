<script setup lang="ts" generic="T extends string">
import { nextTick, ref } from 'vue';

/** One of a few, side by side. Arrow keys go from one to the next; a choice that is refused shows what stays. */
const props = defineProps<{
  value: T;
  options: readonly { readonly value: T; readonly label: string; readonly title?: string }[];
  label: string;
}>();
const emit = defineEmits<{ choose: [value: T] }>();
const refused = ref(0);
async function choose(value: T): Promise<void> {
  emit('choose', value);
  await nextTick();
  if (props.value !== value) refused.value += 1;
}
</script>

<template>
  <BFormRadioGroup
    :key="refused"
    class="choice"
    buttons
    button-variant="bare"
    :aria-label="label"
    :model-value="value"
    @update:model-value="choose($event as T)"
  >
    <BFormRadio v-for="o in options" :key="o.value" :value="o.value"
      ><span :title="o.title">{{ o.label }}</span></BFormRadio
    >
  </BFormRadioGroup>
</template>
