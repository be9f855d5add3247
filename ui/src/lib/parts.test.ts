import { render, screen } from '@testing-library/svelte';
import userEvent from '@testing-library/user-event';
import { describe, expect, it, vi } from 'vitest';
import { keys, listenForKeys, offer } from './keys.svelte';
import EffectTable from './verdict/EffectTable.svelte';
import HeatLadder from './charts/HeatLadder.svelte';
import Owl from './glyphs/Owl.svelte';
import StageRail from './parts/StageRail.svelte';

const blank = { measured: false, rise_k: null, noise_db: null, held_share: null };
const hot = { measured: true, rise_k: 71, noise_db: 53, held_share: 0.9 };

describe('owl', () => {
  it('tells in words what it shows, at 32 px too', () => {
    render(Owl, { before: hot, after: blank, size: 32 });
    expect(screen.getByRole('img', { name: /Before: 71 kelvins .* throttled. After: not measured yet/ })).toBeVisible();
  });
  it('shuts both eyes when stopped', () => {
    const { container } = render(Owl, { before: hot, after: blank, stopped: true, size: 76 });
    expect(container.querySelectorAll('.shut')).toHaveLength(2);
    expect(container.querySelectorAll('circle')).toHaveLength(0);
  });
});

describe('stage rail', () => {
  it('links only what is open and marks where one is', () => {
    render(StageRail, {
      base: '/jobs/1',
      here: 'before',
      reachable: ['intake', 'before'],
      done: ['intake'],
      next: 'before',
    });
    expect(screen.getAllByRole('link')).toHaveLength(2);
    expect(screen.getByRole('link', { name: /Before/ })).toHaveAttribute('aria-current', 'step');
    expect(screen.queryByRole('link', { name: /Hand over/ })).toBeNull();
    expect(screen.getByRole('option', { name: /Hand over/ })).toBeDisabled();
  });
});

describe('heat ladder', () => {
  const ladder = {
    room_c: 24,
    die_c: 95,
    power: 45,
    rungs: [
      { name: 'heatsink', drop_k: 41, resistance: 0.91, source: 'log', u95_k: 1 },
      { name: 'interface', drop_k: 30, resistance: 0.66, source: 'log', u95_k: 1 },
    ],
  };
  it('has a table that says the same', () => {
    render(HeatLadder, { before: ladder, after: null, culprit: 'interface' });
    expect(screen.getByText('bottleneck')).toBeInTheDocument();
    expect(screen.getByRole('row', { name: /interface 0.66/ })).toHaveTextContent('30.0 K, from the log');
  });
  it('says why it does not stand yet', () => {
    render(HeatLadder, { before: null, after: null, culprit: null });
    expect(screen.getByText(/once a log is in and the room is noted/)).toBeVisible();
  });
});

describe('effect table', () => {
  const effect = {
    quantity: 'rise',
    words: 'Rise over room',
    unit: 'K',
    before: 70.7,
    after: 46.4,
    before_u95: 1.7,
    after_u95: 1.7,
    difference: -24.3,
    u95: 1.8,
    shown: 'better',
    working: '',
  };
  it('gives a change of a Celsius reading in kelvins and unknown sides in words', () => {
    const effects = [
      { ...effect, quantity: 'die', words: 'Die temperature', unit: '°C' },
      {
        ...effect,
        quantity: 'noise',
        words: 'Noise',
        unit: 'dB',
        after: null,
        difference: null,
        u95: null,
        shown: 'not_known',
      },
      { ...effect, quantity: 'none', words: 'Nothing', before: null, after: null, difference: null, u95: null },
      {
        ...effect,
        quantity: 'recorded_level',
        words: 'By recording',
        unit: 'dB',
        before: null,
        after: null,
        before_u95: null,
        after_u95: null,
      },
    ];
    render(EffectTable, { effects });
    expect(screen.getByRole('row', { name: /Die temperature/ })).toHaveTextContent('−24.3 ± 1.8');
    expect(screen.getByRole('row', { name: /Noise/ })).toHaveTextContent('not known');
    expect(screen.queryByRole('row', { name: /Nothing/ })).toBeNull();
    expect(screen.getByRole('row', { name: /By recording/ })).toHaveTextContent('dB decibels––−24.3 ± 1.8');
  });
});

describe('keys', () => {
  it('offered by a page inside are not lost when the page around offers anew', () => {
    const inner = offer([{ key: 'Enter', words: 'Inner', run: () => undefined }]);
    const outer = offer([{ key: '1', words: 'Outer', run: () => undefined }]);
    outer();
    const again = offer([{ key: '1', words: 'Outer again', run: () => undefined }]);
    expect(keys.offered.map((a) => a.words)).toEqual(['Inner', 'Outer again']);
    inner();
    again();
    expect(keys.offered).toEqual([]);
  });

  it('answer outside fields only, and Space counts as Enter', async () => {
    document.body.innerHTML = '<input id="field" />';
    const run = vi.fn();
    const stops = [listenForKeys(), offer([{ key: 'Enter', words: 'Go on', run }])];
    await userEvent.keyboard(' ');
    expect(run).toHaveBeenCalledTimes(1);
    document.getElementById('field')?.focus();
    await userEvent.keyboard('{Enter} ');
    expect(run).toHaveBeenCalledTimes(1);
    stops.forEach((stop) => stop());
    (document.activeElement as HTMLElement).blur();
    await userEvent.keyboard('{Enter}');
    expect(run).toHaveBeenCalledTimes(1);
  });
});
