// The counter: moments as they are typed, and a signature that is drawn.
import { fireEvent, render, screen } from '@testing-library/svelte';
import userEvent from '@testing-library/user-event';
import { describe, expect, it, vi } from 'vitest';
import { local, momentOf, today, useZone } from '../../lib/zone';
import SignSection from './SignSection.svelte';

const user = userEvent.setup();

describe('a moment', () => {
  it.each(['16:30', '9', '09.05', '23:59'])('is read from %s and written back', (time) => {
    const iso = momentOf('2026-12-02', time);
    expect(typeof iso).toBe('string');
    const back = local(iso as string);
    expect(back.day).toBe('2026-12-02');
    expect(momentOf(back.day, back.time)).toBe(iso);
  });
  it('is of the zone of the shop, over a change of clocks as well', () => {
    useZone('Pacific/Auckland');
    expect(momentOf('2026-12-02', '09:00')).toBe('2026-12-01T20:00:00.000Z');
    expect(local('2026-12-01T20:00:00Z')).toEqual({ day: '2026-12-02', time: '09:00' });
    // The clocks go back on 5 April 2026 at three (IANA time zone data).
    expect(momentOf('2026-04-05', '01:30')).toBe('2026-04-04T12:30:00.000Z');
    expect(momentOf('2026-04-05', '09:00')).toBe('2026-04-04T21:00:00.000Z');
    vi.useFakeTimers({ now: new Date('2026-12-01T12:00:00Z') });
    expect(today()).toBe('2026-12-02');
    vi.useRealTimers();
    useZone(undefined);
  });
  it('is none without a day, and refused where the time is none', () => {
    expect(momentOf('', '16:30')).toBeNull();
    expect(momentOf('2026-12-02', '')).toBe(momentOf('2026-12-02', '16:00'));
    for (const time of ['25:00', '16:75', 'noon']) expect(momentOf('2026-12-02', time)).toBeUndefined();
  });
});

describe('a signature', () => {
  const props = { title: 'Consent', signed: null, words: ['I leave it here.'], name: 'Wen', busy: false, errors: {} };
  it('is drawn under its words and sent with the name, stroke by stroke', async () => {
    const onsign = vi.fn();
    render(SignSection, { ...props, onsign });
    expect(screen.getByText('I leave it here.')).toBeVisible();
    await user.click(screen.getByRole('button', { name: 'Sign' }));
    const pad = screen.getByRole('img', { name: /Pad for a signature/ });
    pad.setPointerCapture = () => undefined;
    pad.getBoundingClientRect = () => ({ left: 0, top: 0, width: 300, height: 100 }) as DOMRect;
    for (const [x, y] of [
      [30, 30],
      [60, 90],
    ]) {
      await fireEvent.pointerDown(pad, { button: 0, clientX: x, clientY: y, pointerId: 1 });
      await fireEvent.pointerMove(pad, { clientX: 150, clientY: 60, pointerId: 1 });
      await fireEvent.pointerUp(pad, { pointerId: 1 });
    }
    await user.click(screen.getByRole('button', { name: 'Keep the signature' }));
    expect(onsign).toHaveBeenCalledOnce();
    const [name, strokes] = onsign.mock.calls[0] as [string, number[][][]];
    expect(name).toBe('Wen');
    expect(strokes).toEqual([
      [
        [0.1, 0.1],
        [0.5, 0.2],
      ],
      [
        [0.2, 0.3],
        [0.5, 0.2],
      ],
    ]);
  });
  it('stands as it was signed and cannot be signed again', () => {
    const signed = {
      words: ['Old words.'],
      name: 'Wen',
      at: '2026-11-30T09:00:00Z',
      by: 'Ada',
      strokes: [[[0.1, 0.1]]],
    };
    render(SignSection, { ...props, signed, onsign: vi.fn() });
    expect(screen.getByText('Old words.')).toBeVisible();
    expect(screen.queryByRole('button', { name: 'Sign' })).toBeNull();
    expect(screen.queryByText('I leave it here.')).toBeNull();
  });
});
