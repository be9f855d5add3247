import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { AutoSave, TwoSides } from './autosave.svelte';

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

  it('sends nothing when nothing was typed', async () => {
    const write = vi.fn(async () => true);
    await new AutoSave(write).flush();
    expect(write).not.toHaveBeenCalled();
  });
});

describe('a form over a newer state', () => {
  const was = { room: '22', load: 'a', list: [1] };

  it('keeps what was typed here and takes what another screen saved', () => {
    const sides = new TwoSides<typeof was>();
    expect(sides.merge({ room: '23', load: 'a', list: [1] }, was, { room: '22', load: 'b', list: [1, 2] })).toEqual({
      room: '23',
      load: 'b',
      list: [1, 2],
    });
    expect(sides.clashes).toEqual([]);
  });

  it('tells both sides of a field that was changed on both screens, until one is chosen', () => {
    const sides = new TwoSides<typeof was>();
    expect(sides.merge({ ...was, room: '23' }, was, { ...was, room: '24' }).room).toBe('23');
    expect(sides.clashes).toEqual([{ key: 'room', mine: '23', theirs: '24' }]);
    sides.settle('room');
    expect(sides.clashes).toEqual([]);
  });

  it('takes what this screen sent for nobody else’s, while one types on', () => {
    const sides = new TwoSides<typeof was>();
    sides.sending({ ...was, room: '23' });
    expect(sides.merge({ ...was, room: '23.5' }, was, { ...was, room: '23' }).room).toBe('23.5');
    expect(sides.clashes).toEqual([]);
  });
});
