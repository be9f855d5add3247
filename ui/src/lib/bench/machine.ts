// Bench mode as a machine: what is on the screen, what a hand can do there, and what follows. It knows no DOM and no
// server; the page computes the sight, asks for the move and carries it out.

/** idle: no list yet; step: one is shown; wait: the shown one has to wait; power: it is the first power-on; count: all
 * steps are settled; guard: a rule is in the way; reason: words or a choice are asked for. */
export const STATES = ['idle', 'step', 'wait', 'power', 'count', 'guard', 'reason'] as const;
export type State = (typeof STATES)[number];

/** press: Enter, Space, the foot switch or the large button; hold: the same for a second; tap: let go before that; the
 * rest are keys and buttons of their own. */
export const INPUTS = [
  'press', 'hold', 'tap', 'back', 'again', 'skip', 'mishap', 'clock', 'early', 'happened', 'cancel',
] as const; // prettier-ignore
export type Input = (typeof INPUTS)[number];

/** What the page does. keep: nothing but a word why not. */
export type Does =
  | 'begin' | 'finish' | 'finish_run' | 'onward' | 'confirm' | 'close' | 'first' | 'undo' | 'redo' | 'rule' | 'ask_skip'
  | 'ask_mishap' | 'ask_clock' | 'ask_early' | 'ask_story' | 'dismiss' | 'leave' | 'keep_holding' | 'keep_waiting'
  | 'never_skipped' | 'nothing'; // prettier-ignore

export interface Sight {
  begun: boolean;
  /** The step on the screen, null at the end of the list. */
  step: {
    settled: boolean;
    /** It is held for a second, not tapped. */
    held: boolean;
    power: boolean;
    waits: boolean;
    broken: boolean;
    skippable: boolean;
    /** A hold tells more than this step. */
    runs: boolean;
  } | null;
  /** A wait runs somewhere on this job. */
  waiting: boolean;
  /** The rule in the way may have been broken already; one that would destroy the device may not. */
  tellable: boolean;
}

export interface Move {
  to: State;
  does: Does;
}

/** The state that the list itself makes, without anything that was asked on top. */
export function base(sight: Sight): State {
  if (!sight.begun) return 'idle';
  if (!sight.step) return 'count';
  if (sight.step.settled) return 'step';
  if (sight.step.waits) return 'wait';
  return sight.step.power ? 'power' : 'step';
}

type Row = Partial<Record<Input, (sight: Sight) => Move>>;
const stay = (to: State, does: Does) => (): Move => ({ to, does });
const asked = (does: Does) => stay('reason', does);
/** What is open to a hand while a step is shown, whatever the step. */
const AT_A_STEP: Row = {
  back: (s) => ({ to: base(s), does: 'undo' }),
  again: (s) => ({ to: base(s), does: 'redo' }),
  skip: (s) => {
    if (s.step?.settled) return { to: base(s), does: 'nothing' };
    return s.step?.skippable ? { to: 'reason', does: 'ask_skip' } : { to: base(s), does: 'never_skipped' };
  },
  mishap: asked('ask_mishap'),
  clock: asked('ask_clock'),
  early: (s) => (s.waiting ? { to: 'reason', does: 'ask_early' } : { to: base(s), does: 'nothing' }),
  cancel: (s) => ({ to: base(s), does: 'leave' }),
};
const done = (does: Does) => (s: Sight): Move =>
  s.step?.broken ? { to: 'guard', does: 'rule' } : { to: base(s), does }; // prettier-ignore

export const TABLE: Record<State, Row> = {
  idle: { press: stay('idle', 'begin'), cancel: stay('idle', 'leave') },
  step: {
    ...AT_A_STEP,
    press: (s) => {
      if (s.step?.settled) return { to: 'step', does: 'onward' };
      if ((s.step?.held || s.step?.runs) && !s.step.broken) return { to: 'step', does: 'keep_holding' };
      return done('finish')(s);
    },
    hold: (s) => (s.step?.settled ? { to: 'step', does: 'onward' } : done(s.step?.runs ? 'finish_run' : 'finish')(s)),
    // A step that is held for its own sake is not told by a tap.
    tap: (s) => (s.step?.runs && !s.step.held ? done('finish')(s) : { to: base(s), does: 'nothing' }),
  },
  // A wait is ended with a reason and a hand, never with the foot.
  wait: { ...AT_A_STEP, press: stay('wait', 'keep_waiting'), hold: stay('wait', 'keep_waiting') },
  power: { ...AT_A_STEP, press: stay('power', 'keep_holding'), hold: done('confirm') },
  count: {
    press: stay('count', 'close'),
    back: stay('count', 'undo'),
    again: stay('count', 'redo'),
    mishap: asked('ask_mishap'),
    clock: asked('ask_clock'),
    early: AT_A_STEP.early as (sight: Sight) => Move,
    cancel: stay('count', 'leave'),
  },
  guard: {
    press: (s) => ({ to: base(s), does: 'first' }),
    back: (s) => ({ to: base(s), does: 'dismiss' }),
    happened: (s) => (s.tellable ? { to: 'reason', does: 'ask_story' } : { to: 'guard', does: 'nothing' }),
    cancel: (s) => ({ to: base(s), does: 'dismiss' }),
  },
  // What is asked has fields and buttons of its own; the foot presses none of them.
  reason: { back: (s) => ({ to: base(s), does: 'dismiss' }), cancel: (s) => ({ to: base(s), does: 'dismiss' }) },
};

/** What follows from an input. What the table does not name changes nothing. */
export function move(state: State, input: Input, sight: Sight): Move {
  return TABLE[state][input]?.(sight) ?? { to: state, does: 'nothing' };
}

/** So long after one press no other counts: a pedal bounces, and a foot taps twice. */
export const LOCKOUT_MS = 600;
/** So long a critical step is held. */
export const HOLD_MS = 1000;
/** What changes the list; the rest may follow each other as fast as it likes. */
const CHANGES: readonly Does[] = [
  'begin',
  'finish',
  'finish_run',
  'onward',
  'confirm',
  'close',
  'first',
  'rule',
  'undo',
  'redo',
];

/** A clock that lets one press through and none for a while after it. */
export class Lockout {
  #until = 0;

  /** Whether a press at this moment counts. */
  lets(now: number): boolean {
    return now >= this.#until;
  }

  /** Note what a press did. */
  note(does: Does, now: number): void {
    if (CHANGES.includes(does)) this.#until = now + LOCKOUT_MS;
  }
}
