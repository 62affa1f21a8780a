import type { Project } from '@mivet/core';
import { mount, type VueWrapper } from '@vue/test-utils';
import { createPinia, setActivePinia, type Pinia } from 'pinia';
import { vi } from 'vitest';
import { defineComponent, h, nextTick, type Component } from 'vue';
import { createRouter, createMemoryHistory, type Router } from 'vue-router';
import { usePicture } from '../src/stores/picture.ts';
import { useProject } from '../src/stores/project.ts';

/** The dialog of the component library without its transitions: there while it is open. */
const PlainModal = defineComponent({
  props: { modelValue: Boolean },
  setup:
    (props, { slots }) =>
    () =>
      props.modelValue ? h('div', { role: 'dialog' }, [slots['default']?.(), slots['footer']?.()]) : null,
});

/** A project open in stores of its own, with its picture made, and a way to mount parts of the app on it. */
export interface Workbench {
  readonly pinia: Pinia;
  readonly router: Router;
  readonly project: ReturnType<typeof useProject>;
  readonly picture: ReturnType<typeof usePicture>;
  /** Waits until the picture shows the project as it is now. */
  settled(): Promise<void>;
  mount(part: Component, props?: Record<string, unknown>): VueWrapper;
}

/** Opens a project. The test must put `core-here.ts` in the place of the worker. */
export async function openWorkbench(document: Project): Promise<Workbench> {
  localStorage.clear();
  const pinia = createPinia();
  setActivePinia(pinia);
  const nothing = { template: '<i />' };
  const router = createRouter({
    history: createMemoryHistory(),
    routes: [
      { path: '/', name: 'projects', component: nothing },
      { path: '/stock', name: 'stock', component: nothing },
      { path: '/shelf', name: 'shelf', component: nothing },
      { path: '/project/:id/:stop', name: 'project', component: nothing },
    ],
  });
  const project = useProject();
  project.doc = document;
  const picture = usePicture();
  const settled = async (): Promise<void> => {
    await nextTick();
    await vi.waitUntil(() => picture.picture !== null && !picture.busy);
    await nextTick();
  };
  await settled();
  return {
    pinia,
    router,
    project,
    picture,
    settled,
    mount: (part, props = {}) =>
      mount(part as never, {
        props: props as never,
        attachTo: window.document.body,
        global: { plugins: [pinia, router], stubs: { IBiCheckLg: true, IBiX: true, BModal: PlainModal } },
      }) as unknown as VueWrapper,
  };
}

/** Presses the button with this label. */
export async function press(wrapper: VueWrapper, label: string | RegExp): Promise<void> {
  const button = wrapper
    .findAll('button')
    .find((b) => (typeof label === 'string' ? b.text() === label : label.test(b.text())));
  if (!button) throw new Error(`No button “${String(label)}” among: ${wrapper.findAll('button').map((b) => b.text())}`);
  await button.trigger('click');
}
