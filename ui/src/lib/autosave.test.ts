import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { AutoSave } from './autosave.svelte';

beforeEach(() => vi.useFakeTimers());
afterEach(() => vi.useRealTimers());

describe('a form that saves itself', () => {
  it('waits for the hand to rest and sends once', async () => {
    const write = vi.fn(async () => true);
    const form = new AutoSave(write);
    for (let i = 0; i < 5; i++) {
      form.typed();
      await vi.advanceTimersByTimeAsync(400);
    }
    expect(write).not.toHaveBeenCalled();
    expect(form.stand).toBe('typing');
    await vi.advanceTimersByTimeAsync(2000);
    expect(write).toHaveBeenCalledOnce();
    expect(form.stand).toBe('saved');
  });

  it('sends again what was typed while it was sending, and never two at once', async () => {
    const ends: (() => void)[] = [];
    const write = vi.fn(() => new Promise<boolean>((end) => ends.push(() => end(true))));
    const form = new AutoSave(write);
    form.typed();
    void form.flush();
    form.typed();
    void form.flush();
    expect(write).toHaveBeenCalledTimes(1);
    ends[0]?.();
    await vi.advanceTimersByTimeAsync(0);
    expect(write).toHaveBeenCalledTimes(2);
    ends[1]?.();
    await vi.advanceTimersByTimeAsync(0);
    expect(form.stand).toBe('saved');
  });

  it('says that it was refused, and sends again once it was corrected', async () => {
    const answers = [false, true];
    const form = new AutoSave(async () => answers.shift() ?? true);
    form.typed();
    await form.flush();
    expect(form.stand).toBe('refused');
    form.typed();
    await form.flush();
    expect(form.stand).toBe('saved');
  });

  it('sends what was corrected while a write that is refused was under way', async () => {
    const ends: ((kept: boolean) => void)[] = [];
    const write = vi.fn(() => new Promise<boolean>((end) => ends.push(end)));
    const form = new AutoSave(write);
    form.typed();
    void form.flush();
    form.typed();
    void form.flush();
    ends[0]?.(false);
    await vi.advanceTimersByTimeAsync(0);
    expect(write).toHaveBeenCalledTimes(2);
    ends[1]?.(true);
    await vi.advanceTimersByTimeAsync(0);
    expect(form.stand).toBe('saved');
  });

  it('sends nothing when nothing was typed', async () => {
    const write = vi.fn(async () => true);
    await new AutoSave(write).flush();
    expect(write).not.toHaveBeenCalled();
  });
});
