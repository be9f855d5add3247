import { describe, expect, it } from 'vitest';
import { base, INPUTS, Lockout, LOCKOUT_MS, move, STATES, type Input, type Sight, type State } from './machine';

const step = { settled: false, held: false, power: false, waits: false, broken: false, skippable: true, runs: false };
const AT: Record<State, Sight> = {
  idle: { begun: false, step: null, waiting: false, tellable: true },
  step: { begun: true, step, waiting: false, tellable: true },
  wait: { begun: true, step: { ...step, waits: true }, waiting: true, tellable: true },
  power: { begun: true, step: { ...step, power: true, held: true }, waiting: false, tellable: true },
  count: { begun: true, step: null, waiting: false, tellable: true },
  guard: { begun: true, step: { ...step, broken: true }, waiting: false, tellable: true },
  reason: { begun: true, step, waiting: false, tellable: true },
};
const at = (state: State, input: Input, more: Partial<NonNullable<Sight['step']>> = {}, rest: Partial<Sight> = {}) => {
  const sight = AT[state];
  const { to, does } = move(state, input, { ...sight, ...rest, step: sight.step && { ...sight.step, ...more } });
  return `${does} → ${to}`;
};

describe('bench mode as a machine', () => {
  it('has one table: every state, every input', () => {
    const table = Object.fromEntries(STATES.map((s) => [s, Object.fromEntries(INPUTS.map((i) => [i, at(s, i)]))]));
    const shown = {
      back: 'undo → step', again: 'redo → step', skip: 'ask_skip → reason', mishap: 'ask_mishap → reason',
      clock: 'ask_clock → reason', early: 'nothing → step', happened: 'nothing → step', cancel: 'leave → step', tap: 'nothing → step',
    }; // prettier-ignore
    const elsewhere = (state: State) => Object.fromEntries(INPUTS.map((i) => [i, `nothing → ${state}`]));
    const inState = (state: State) =>
      Object.fromEntries(Object.entries(shown).map(([k, v]) => [k, v.replace('→ step', `→ ${state}`)]));
    expect(table).toEqual({
      idle: { ...elsewhere('idle'), press: 'begin → idle', cancel: 'leave → idle' },
      step: { ...shown, press: 'finish → step', hold: 'finish → step' },
      wait: {
        ...inState('wait'), press: 'keep_waiting → wait', hold: 'keep_waiting → wait', early: 'ask_early → reason',
      },
      power: { ...inState('power'), press: 'keep_holding → power', hold: 'confirm → power' },
      count: {
        ...elsewhere('count'), press: 'close → count', back: 'undo → count', again: 'redo → count',
        mishap: 'ask_mishap → reason', clock: 'ask_clock → reason', cancel: 'leave → count',
      },
      guard: {
        ...elsewhere('guard'), press: 'first → step', back: 'dismiss → step', happened: 'ask_story → reason',
        cancel: 'dismiss → step',
      },
      reason: { ...elsewhere('reason'), back: 'dismiss → step', cancel: 'dismiss → step' },
    }); // prettier-ignore
  });

  it('holds what is critical, and lets nothing else be held through a rule', () => {
    expect(at('step', 'press', { held: true })).toBe('keep_holding → step');
    expect(at('step', 'hold', { held: true })).toBe('finish → step');
    expect(at('step', 'press', { held: true, broken: true })).toBe('rule → guard');
    expect(at('step', 'hold', { held: true, broken: true })).toBe('rule → guard');
    expect(at('power', 'hold', { broken: true })).toBe('rule → guard');
  });

  it('tells one step by a tap and the run by a hold, and no held step by a tap', () => {
    expect(at('step', 'press', { runs: true })).toBe('keep_holding → step');
    expect(at('step', 'tap', { runs: true })).toBe('finish → step');
    expect(at('step', 'hold', { runs: true })).toBe('finish_run → step');
    expect(at('step', 'tap', { held: true })).toBe('nothing → step');
    expect(at('step', 'press', { runs: true, broken: true })).toBe('rule → guard');
  });

  it('goes on from a settled step and skips it no more', () => {
    expect(at('step', 'press', { settled: true, held: true })).toBe('onward → step');
    expect(at('step', 'skip', { settled: true })).toBe('nothing → step');
  });

  it('skips nothing that stands between a die and the power', () => {
    expect(at('step', 'skip', { skippable: false })).toBe('never_skipped → step');
  });

  it('takes no story for what would destroy the device', () => {
    expect(at('guard', 'happened', {}, { tellable: false })).toBe('nothing → guard');
  });

  it('is in the state that its list makes', () => {
    for (const state of ['idle', 'step', 'wait', 'power', 'count'] as const) expect(base(AT[state])).toBe(state);
  });
});

describe('the lockout', () => {
  it('lets one press through, and the next only after 600 ms', () => {
    const lock = new Lockout();
    expect(lock.lets(1000)).toBe(true);
    lock.note('finish', 1000);
    expect(lock.lets(1000 + LOCKOUT_MS - 1)).toBe(false);
    expect(lock.lets(1000 + LOCKOUT_MS)).toBe(true);
  });

  it('does not count what changed nothing', () => {
    const lock = new Lockout();
    lock.note('keep_holding', 1000);
    expect(lock.lets(1001)).toBe(true);
  });
});
