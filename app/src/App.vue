<script setup lang="ts">
import { useEventListener } from '@vueuse/core';
import { defineAsyncComponent, onMounted, watchEffect } from 'vue';
import { useRoute } from 'vue-router';
import AppHeader from './components/shell/AppHeader.vue';
import ToldToasts from './components/shell/ToldToasts.vue';
import NoticeBar from './components/shell/NoticeBar.vue';
import TimerTray from './components/shell/TimerTray.vue';
import { leaveField } from './composables/hand.ts';
import { useDroppedFile } from './composables/useDroppedFile.ts';
import { useGlobalKeys } from './composables/useGlobalKeys.ts';
import { useIdleFetch } from './composables/useIdleFetch.ts';
import { useOnceAsked } from './composables/useOnceAsked.ts';
import { useLibrary } from './stores/library.ts';
import { useRestoring } from './stores/restoring.ts';
import { useSettings } from './stores/settings.ts';
import { useView } from './stores/view.ts';
import { keepForOffline } from './data/updates.ts';
import { offerDemo } from './demo/offer-demo.ts';
import { fetchView } from './router/routes.ts';

/** Loaded when they are first asked for. */
const HelpPanel = defineAsyncComponent(() => import('./components/help/HelpPanel.vue'));
const RestoreDialog = defineAsyncComponent(() => import('./components/restore/RestoreDialog.vue'));
const KeySheet = defineAsyncComponent(() => import('./components/shell/KeySheet.vue'));

const settings = useSettings();
const view = useView();
const library = useLibrary();
const route = useRoute();
watchEffect(() => document.documentElement.setAttribute('data-bs-theme', settings.dim ? 'dim' : 'light'));
onMounted(() => offerDemo(library.load()));
const keysAsked = useOnceAsked(() => view.showKeys);
const helpAsked = useOnceAsked(() => view.showHelp);
const restoring = useRestoring();
const restoreAsked = useOnceAsked(() => restoring.asked !== null);
useGlobalKeys();
useDroppedFile();
// Closed in the middle of a field, the page takes what was typed before its project is written down.
useEventListener(window, 'pagehide', leaveField, { capture: true });
// Where one most likely goes next is there when one goes.
useIdleFetch(
  () => library.loaded,
  ['/projects', '/', '/shelf'].map((path) => () => fetchView(path)),
);
onMounted(() => {
  const later = (): void => {
    keepForOffline();
    // What waited for the cutter when the page was closed goes on its way.
    if (localStorage.getItem('mivet-cutter-known') === 'true')
      void import('./stores/cutter.ts').then(({ useCutter }) => useCutter().sendWaiting());
  };
  setTimeout(later, 3000);
});
</script>

<template>
  <BApp>
    <a href="#main" class="visually-hidden-focusable">Skip to the work</a>
    <div class="frame">
      <AppHeader />
      <NoticeBar />
      <TimerTray />
      <main id="main" tabindex="-1" :class="{ inside: route.name === 'project' || route.name === 'together' }">
        <RouterView />
      </main>
    </div>
    <KeySheet v-if="keysAsked" />
    <HelpPanel v-if="helpAsked" />
    <RestoreDialog v-if="restoreAsked" />
    <ToldToasts />
  </BApp>
</template>

<style scoped>
.frame {
  height: 100dvh;
  display: flex;
  flex-direction: column;
}
main {
  /* What is hidden for the eye only lies in here, and makes the page no longer. */
  position: relative;
  flex: 1;
  min-height: 0;
  overflow: auto;
  outline: none;
}
/* On paper a page goes on where the first sheet ends. */
@media print {
  .frame {
    display: block;
    height: auto;
  }
  main {
    overflow: visible;
  }
}
main.inside {
  overflow: hidden;
}
</style>
