<script setup lang="ts">
import { formatSize, type ItemViewModel, type KeptBox, type TextItem, type TextSize } from '@mivet/core';
import { computed, ref, useId } from 'vue';
import { useSettings } from '../../stores/settings.ts';
import CheckBox from '../fields/CheckBox.vue';
import LengthField from '../fields/LengthField.vue';

/** Words as large as a box takes, whatever they say; boxes are kept under a name, for the next cup of the kind. */
const props = defineProps<{ item: TextItem; placed: ItemViewModel | null }>();
const emit = defineEmits<{ change: [size: TextSize] }>();
const settings = useSettings();
const id = useId();
const name = ref('');
const box = computed(() => (props.item.size.by === 'box' ? props.item.size : null));
/** As it is now: fitted into the box that it fills, or free again at its present height. */
function fit(on: boolean): void {
  const cap = props.placed?.capHeight ?? 10;
  const { widthMm = 60, heightMm = 20 } = props.placed ?? {};
  const round = (mm: number): number => Math.max(1, Math.ceil(mm));
  emit('change', on ? { by: 'box', mm: round(widthMm), highMm: round(heightMm) } : { by: 'cap', mm: cap });
}
const sizeSays = (one: KeptBox): string => `${one.name}, ${formatSize(one.widthMm, one.heightMm, settings.unit)}`;
const same = (one: KeptBox): boolean => one.widthMm === box.value?.mm && one.heightMm === box.value.highMm;
const chosen = computed(() => settings.boxes.find(same)?.name ?? '');
function take(named: unknown): void {
  const one = settings.boxes.find((kept) => kept.name === named);
  if (one) emit('change', { by: 'box', mm: one.widthMm, highMm: one.heightMm });
}
function keep(): void {
  const called = name.value.trim().slice(0, 80);
  if (!called || !box.value) return;
  const own: KeptBox = { name: called, widthMm: box.value.mm, heightMm: box.value.highMm };
  settings.boxes = [...settings.boxes.filter((one) => one.name !== called), own].slice(-100);
  name.value = '';
}
function forget(): void {
  settings.boxes = settings.boxes.filter((one) => one.name !== chosen.value);
}
</script>

<template>
  <CheckBox class="mt-2" :checked="box !== null" @change="fit">As large as a box takes</CheckBox>
  <template v-if="box">
    <div v-if="settings.boxes.length > 0" class="row-line">
      <label :for="`${id}-b`">Kept boxes</label>
      <BFormSelect :id="`${id}-b`" size="sm" class="w-50" :model-value="chosen" @update:model-value="take">
        <BFormSelectOption value="">another size</BFormSelectOption>
        <BFormSelectOption v-for="one in settings.boxes" :key="one.name" :value="one.name">
          {{ sizeSays(one) }}
        </BFormSelectOption>
      </BFormSelect>
    </div>
    <LengthField
      label="Box width"
      :mm="box.mm"
      :unit="settings.unit"
      :least="1"
      :most="20000"
      @change="emit('change', { ...box, mm: $event })"
    />
    <LengthField
      label="Box height"
      :mm="box.highMm"
      :unit="settings.unit"
      :least="1"
      :most="20000"
      @change="emit('change', { ...box, highMm: $event })"
    />
    <BButton v-if="chosen" variant="link" size="sm" class="p-0" @click="forget">Delete “{{ chosen }}”</BButton>
    <form v-else class="d-flex gap-2 my-1" @submit.prevent="keep">
      <BFormInput
        v-model="name"
        size="sm"
        maxlength="80"
        placeholder="A name for this box"
        aria-label="Name of the box"
      />
      <BButton variant="outline-primary" size="sm" type="submit" class="text-nowrap" :disabled="!name.trim()">
        Save box
      </BButton>
    </form>
  </template>
</template>
