import 'bootstrap-vue-next';

declare module 'bootstrap-vue-next' {
  interface BaseButtonVariant {
    /** Without a button's look: what is pressed has a look of its own. */
    bare: unknown;
    /** Stops a machine. */
    stop: unknown;
  }
}
