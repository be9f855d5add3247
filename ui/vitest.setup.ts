import '@testing-library/jest-dom/vitest';
import { configure } from '@testing-library/svelte';

// A part that comes late comes later on a busy machine.
configure({ asyncUtilTimeout: 10_000 });

// jsdom lays nothing out; charts then keep the width they start with.
class StillObserver implements ResizeObserver {
  observe() {}
  unobserve() {}
  disconnect() {}
}
globalThis.ResizeObserver ??= StillObserver;

// jsdom knows no modal dialogs; a test without a document knows no dialogs at all.
const Dialog = globalThis.HTMLDialogElement as typeof HTMLDialogElement | undefined;
if (Dialog) {
  Dialog.prototype.showModal ??= function (this: HTMLDialogElement) {
    this.open = true;
  };
  Dialog.prototype.close ??= function (this: HTMLDialogElement) {
    this.open = false;
  };
}
