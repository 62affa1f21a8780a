<script setup lang="ts">
import { useTold } from '../../stores/told.ts';

const told = useTold();
</script>

<template>
  <div class="toast-container position-fixed bottom-0 end-0 p-3" aria-live="polite">
    <BToast
      v-for="one in told.all"
      :key="one.id"
      :model-value="one.stays"
      :body="one.words"
      :show-on-pause="true"
      no-close-button
      @hidden="told.forget(one.id)"
    >
      <div class="d-flex align-items-start gap-2">
        <span class="flex-grow-1">{{ one.words }}</span>
        <BCloseButton @click="told.forget(one.id)" />
      </div>
    </BToast>
  </div>
</template>
