<script setup lang="ts">
import { MOTIF_IDS, MOTIFS, type KeptDrawing, type MotifId, type RowPicture } from '@mivet/core';
import { computed } from 'vue';
import MotifDrawing from './MotifDrawing.vue';

/** What stands in an item's place on one thing of a list: as the job has it, a motif, or a drawing of one's own. */
const props = defineProps<{
  value: RowPicture | null;
  label: string;
  /** What the job has there. */
  asIs: string;
  /** Drawings that the person keeps, and those that the job has by now. */
  own: readonly (KeptDrawing & { readonly id: string; readonly name: string })[];
}>();
const emit = defineEmits<{ choose: [picture: RowPicture | null] }>();
interface Offered {
  readonly key: string;
  readonly label: string;
  readonly drawn: MotifId | KeptDrawing;
  readonly picture: RowPicture;
}
const offered = computed((): Offered[] => [
  ...props.own.map((one): Offered => ({
    key: one.id,
    label: one.name,
    drawn: one,
    picture: { by: 'drawing', drawingId: one.id },
  })),
  ...MOTIF_IDS.filter((id) => id !== 'plate').map((motif): Offered => ({
    key: motif,
    label: MOTIFS[motif].label,
    drawn: motif,
    picture: { by: 'motif', motif },
  })),
]);
const keyOf = (picture: RowPicture | null): string | null =>
  picture && (picture.by === 'motif' ? picture.motif : picture.drawingId);
const chosen = computed(() => offered.value.find(({ key }) => key === keyOf(props.value)));
</script>

<template>
  <BDropdown variant="bare" toggle-class="row-select" :toggle-attrs="{ 'aria-label': label }" no-flip>
    <template #button-content>
      <span v-if="!chosen" class="quiet">{{ asIs }}</span>
      <template v-else>
        <MotifDrawing :of="chosen.drawn" class="small-picture" />
        <span>{{ chosen.label }}</span>
      </template>
    </template>
    <BDropdownItem :active="value === null" @click="emit('choose', null)">{{ asIs }}, as drawn</BDropdownItem>
    <BDropdownItem v-for="o in offered" :key="o.key" :active="o === chosen" @click="emit('choose', o.picture)">
      <span class="d-flex align-items-center gap-2">
        <MotifDrawing :of="o.drawn" class="small-picture" />
        {{ o.label }}
      </span>
    </BDropdownItem>
  </BDropdown>
</template>

<style scoped>
.small-picture {
  flex: none;
  width: 30px;
  height: 22px;
}
:deep(.row-select) {
  display: flex;
  align-items: center;
  gap: 0.4rem;
  padding: 0.1rem 0.4rem;
  border: 1px solid var(--hairline);
  border-radius: 3px;
  background: var(--slip);
  color: var(--ink);
  font-size: 0.9rem;
}
:deep(.dropdown-menu) {
  max-height: 20rem;
  overflow-y: auto;
}
</style>
