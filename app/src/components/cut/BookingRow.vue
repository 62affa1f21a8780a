<script setup lang="ts">
import { computed } from 'vue';
import { useBooking } from '../../composables/useBooking.ts';
import { useTape } from '../../composables/useTape.ts';
import { usePlan } from '../../stores/plan.ts';
import { useViewModel } from '../../stores/view-model.ts';
import TapeRow from './TapeRow.vue';

/** Takes what a job was cut from off the shelf, and puts it back. */
const plan = usePlan();
const viewModel = useViewModel();
const booking = useBooking();
const { tape } = useTape();
const taken = computed(() =>
  new Intl.ListFormat('en-GB').format([
    'the film',
    ...(tape.value ? ['the tape'] : []),
    ...(booking.blanks.value.length > 0 ? ['the blanks'] : []),
  ]),
);
/** Only what is planned from the project as it is now is booked. */
const notYet = computed(() => booking.busy.value || plan.watching || !viewModel.current);
</script>

<template>
  <div>
    <h3 class="mt-4">After cutting</h3>
    <TapeRow />
    <div v-for="b in booking.blanks.value" :key="b.id" class="row-line">
      <span>{{ b.name }}, from the shelf</span>
      <span class="dims" :class="{ short: b.there < b.count }">{{
        b.there < b.count ? `${b.count}, only ${b.there} there` : `${b.count} of ${b.there}`
      }}</span>
    </div>
    <template v-if="booking.last.value">
      <p class="mt-2 mb-1">
        {{ booking.lastWords.value }}
      </p>
      <p class="quiet small mb-1">The loads above are how it would be cut once more.</p>
      <BButton variant="link" :disabled="booking.busy.value" @click="booking.undo"> Undo booking </BButton>
      <BButton variant="link" :disabled="notYet" @click="booking.book"> Book it again </BButton>
    </template>
    <template v-else>
      <p class="quiet my-2">
        {{
          booking.known.value
            ? `Takes ${taken} off your shelf and puts the offcuts there.`
            : 'None of these films is in your stock: put them there, and Mivet keeps count.'
        }}
      </p>
      <BButton v-if="booking.known.value" variant="outline-primary" :disabled="notYet" @click="booking.book">
        Book it
      </BButton>
      <RouterLink v-else :to="{ name: 'stock' }">Go to Stock</RouterLink>
    </template>
    <p v-if="booking.said.value" class="mt-2" role="status">{{ booking.said.value }}</p>
  </div>
</template>

<style scoped>
h3 {
  font-size: 1rem;
  margin-bottom: 0.3rem;
}
.short {
  color: var(--brick);
}
</style>
