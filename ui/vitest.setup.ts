import '@testing-library/jest-dom/vitest';

// jsdom lays nothing out; charts then keep the width they start with.
class StillObserver implements ResizeObserver {
  observe() {}
  unobserve() {}
  disconnect() {}
}
globalThis.ResizeObserver ??= StillObserver;
