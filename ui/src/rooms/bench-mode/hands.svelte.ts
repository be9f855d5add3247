// What the hands do in bench mode: where they are in the list, what an input means here, and what it does. The machine
// in lib/bench/machine.ts decides; this holds what it is decided on and carries it out.
import { parseNumber } from '../../lib/format';
import { BenchJob, benchWords } from '../../lib/bench/bench.svelte';
import { base, HOLD_MS, Lockout, move, type Does, type Input, type Sight, type State } from '../../lib/bench/machine';
import { brokenGuard, factsOf, runningWait, stepFirst } from '../../lib/bench/project';
import { runOf } from '../../lib/bench/runs';
import type { Guard, Queued, Step, Wait } from '../../lib/bench/types';
import { waits } from '../../lib/bench/waits.svelte';
import { go } from '../../lib/router.svelte';
import { toast } from '../../lib/toasts.svelte';
import { say } from '$words/page-bench-mode.ftl';

export type Panel =
  | { kind: 'rule'; guard: Guard; first: Step | null; send: (breach: string) => void }
  | { kind: 'told'; guard: Guard; send: (breach: string) => void }
  | { kind: 'skip' }
  | { kind: 'mishap' }
  | { kind: 'wait' }
  | { kind: 'early'; wait: Wait };

/** What the large button does where no step lies in front of one: the page hands it in. */
export interface Others {
  begin: () => void;
  confirm: (breach?: string) => void;
  close: () => void;
  /** The last step of the list was just told. */
  settled: () => void;
}

/** So long does the first of two presses stand for the beginning of a hold. */
const ARMED_MS = 8000;

const plugsOpen = (): string => benchWords.table?.plugs_open ?? 'plugs_open';

export class Hands {
  readonly at: BenchJob;
  viewed = $state<string | null>(null);
  panel = $state.raw<Panel | null>(null);
  digits = $state('');
  measured = $state('');
  holding = $state(false);
  /** A step that is held was pressed once by what cannot hold. */
  armed = $state(false);

  #others: Others;
  #digitTimer: ReturnType<typeof setTimeout> | undefined;
  #holdTimer: ReturnType<typeof setTimeout> | undefined;
  /** What the button named when it went down: a hold tells that and nothing that became possible meanwhile. */
  #named: readonly Step[] = [];
  /** Ids of the events that the last hold told together. */
  #together: string[] = [];
  readonly #lock = new Lockout();
  readonly #id: string;

  constructor(id: string, others: Others) {
    this.#id = id;
    this.#others = others;
    this.at = new BenchJob(id);
  }

  readonly bench = $derived.by(() => this.at.bench);
  readonly steps = $derived.by(() => this.bench?.steps ?? []);
  // What is looked at stays what it is, wherever another tablet goes on.
  readonly index = $derived.by(() => {
    const found = this.viewed === null ? -1 : this.steps.findIndex((s) => s.id === this.viewed);
    return found >= 0 ? found : this.steps.findIndex((s) => !s.outcome);
  });
  readonly step = $derived.by(() => (this.index >= 0 ? (this.steps[this.index] ?? null) : null));
  readonly held = $derived.by(() =>
    this.step && !this.step.outcome ? runningWait(this.step, this.bench?.waits ?? [], waits.now) : null,
  );
  readonly running = $derived.by(() =>
    (this.bench?.waits ?? []).filter((w) => !w.ended && Date.parse(w.due) > waits.now),
  );
  readonly leave = $derived.by(() => `/jobs/${this.#id}/${this.step?.stage ?? 'close'}` as const);
  readonly guard = $derived.by(() =>
    this.step && !this.step.outcome ? brokenGuard(this.step.guards, factsOf(this.bench)) : null,
  );
  /** What a hold on the large button tells, the shown step first. */
  readonly run = $derived.by(() =>
    this.bench && this.index >= 0 ? runOf(this.bench, this.index, waits.now, plugsOpen()) : [],
  );
  readonly sight = $derived.by<Sight>(() => ({
    begun: this.bench?.begun != null,
    step: this.step && {
      settled: this.step.outcome !== null,
      held: this.step.held,
      power: this.step.shows === 'power',
      waits: this.held !== null,
      broken: this.guard !== null,
      skippable: this.step.skippable,
      runs: this.run.length > 1,
    },
    waiting: this.running.length > 0,
    tellable: this.panel?.kind === 'rule' ? !this.panel.guard.hard : true,
  }));
  readonly mode = $derived.by<State>(() =>
    this.panel === null ? base(this.sight) : this.panel.kind === 'rule' ? 'guard' : 'reason',
  );

  jump(to: number): void {
    this.viewed = this.steps[to]?.id ?? null;
    this.panel = null;
  }

  /** Go on from a step: what is next is the first open one behind it, else the first open one. */
  #onward(from: Step): void {
    const place = this.steps.findIndex((s) => s.id === from.id);
    const behind = this.steps.findIndex((s, i) => i > place && !s.outcome);
    const next = behind >= 0 ? behind : this.steps.findIndex((s) => !s.outcome && s.id !== from.id);
    this.viewed = next >= 0 ? (this.steps[next]?.id ?? null) : null;
    this.panel = null;
    this.measured = '';
    if (next < 0) this.#others.settled();
  }

  /** Tell a step, with what was measured at it. Gives its event, or null where that is no number. */
  #tell(current: Step, more: Record<string, unknown> = {}): Queued | null {
    const value = current.asks ? parseNumber(this.measured) : null;
    if (value !== null && Number.isNaN(value)) {
      toast(say('bench-mode-no-number-leave-empty', { measured: this.measured }), { tone: 'wrong' });
      return null;
    }
    return this.at.do('step_done', { step: current.id, ...(value === null ? {} : { value }), ...more });
  }

  #finish(current: Step, more: Record<string, unknown> = {}): void {
    if (this.#tell(current, more)) this.#onward(current);
  }

  /** The shown step and those behind it, each told as itself. */
  #finishRun(): void {
    // Another tablet may have told some of them in that second, or broken a rule: then only what still stands is told.
    const still = this.run.map((step) => step.id);
    const run = this.#named.filter((step, i) => step.id === still[i]);
    const first = run[0] && this.#tell(run[0]);
    if (!first) return;
    const rest = run.slice(1).map((step) => this.at.do('step_done', { step: step.id }).id);
    this.#together = [first.id, ...rest];
    this.#onward(run.at(-1) as Step);
    if (rest.length) toast(say('bench-mode-told-together', { count: run.length }));
  }

  /** Ask the machine what an input means here, and do it. */
  input(what: Input): void {
    const { does } = move(this.mode, what, this.sight);
    this.#do[does]();
    if (what === 'press' || what === 'hold' || what === 'tap') this.#lock.note(does, performance.now());
  }

  readonly #do: Record<Does, () => void> = {
    begin: () => this.#others.begin(),
    finish: () => this.step && this.#finish(this.step),
    finish_run: () => this.#finishRun(),
    onward: () => this.step && this.#onward(this.step),
    confirm: () => this.#others.confirm(),
    close: () => this.#others.close(),
    first: () => {
      const first = this.panel?.kind === 'rule' ? this.panel.first : null;
      const to = first ? this.steps.findIndex((s) => s.id === first.id) : -1;
      if (to >= 0) this.jump(to);
      else this.panel = null;
    },
    undo: () => this.#back(),
    redo: () => this.at.redo(),
    rule: () => {
      const { step: current, bench, guard } = this;
      if (!current || !bench || !guard) return;
      const first = stepFirst(bench, guard, plugsOpen());
      const send = (breach: string) =>
        current.shows === 'power' ? this.#others.confirm(breach) : this.#finish(current, { breach });
      this.panel = { kind: 'rule', guard, first, send };
    },
    ask_skip: () => (this.panel = { kind: 'skip' }),
    ask_mishap: () => (this.panel = { kind: 'mishap' }),
    ask_clock: () => (this.panel = { kind: 'wait' }),
    ask_early: () => (this.panel = { kind: 'early', wait: (this.held ?? this.running[0]) as Wait }),
    ask_story: () => {
      if (this.panel?.kind === 'rule') this.panel = { ...this.panel, kind: 'told' };
    },
    dismiss: () => (this.panel = null),
    leave: () => go(this.leave),
    keep_holding: () => undefined,
    keep_waiting: () => toast(say('bench-mode-wait-not-over-e')),
    never_skipped: () => toast(say('bench-mode-this-step-stands-between')),
    nothing: () => undefined,
  };

  /** The large button, Enter, Space or the foot switch goes down. */
  down(): void {
    if (!this.#lock.lets(performance.now()) || this.at.settling) return;
    const { does } = move(this.mode, 'press', this.sight);
    if (does !== 'keep_holding') return this.input('press');
    this.letGo();
    this.#named = this.run;
    this.holding = true;
    this.#holdTimer = setTimeout(() => {
      this.holding = false;
      this.input('hold');
    }, HOLD_MS);
  }

  /** It comes up again: before the second is over that is a tap. */
  up(): void {
    const tapped = this.holding;
    this.letGo();
    if (tapped) this.input('tap');
  }

  /** The finger slid off, the window lost the focus: nothing is told. */
  letGo(): void {
    clearTimeout(this.#holdTimer);
    this.holding = false;
  }

  /** Pressed by what can neither hold nor let go, as voice control: what is held is pressed twice instead. */
  clicked(): void {
    if (!this.#lock.lets(performance.now()) || this.at.settling) return;
    const { does } = move(this.mode, 'press', this.sight);
    if (does !== 'keep_holding') return this.input('press');
    const held = this.step?.held || this.mode === 'power';
    if (!held) return this.input('tap');
    if (this.armed) {
      this.armed = false;
      this.#named = this.run;
      return this.input('hold');
    }
    this.armed = true;
    setTimeout(() => (this.armed = false), ARMED_MS);
  }

  /** What has to be looked at was named and is fine: a hold on them tells the step as one on the large button. */
  looked(): void {
    if (this.#lock.lets(performance.now()) && !this.at.settling) this.input('hold');
  }

  /** A power-on is told with its results; a breach is told as what it is. */
  switched(results: Record<string, string>, boot: number | null, breach: string | null): void {
    const current = this.step;
    this.at.do('power_on', {
      results,
      ...(boot === null ? {} : { boot_s: boot }),
      ...(breach ? { breach } : {}),
    });
    if (current && !Object.values(results).includes('fails')) this.#onward(current);
  }

  #back(): void {
    if (!this.at.canUndo) return;
    const ids = this.#together.includes(this.at.last ?? '') ? this.#together : [this.at.last];
    this.#together = [];
    if (!ids.map(() => this.at.undo()).every(Boolean)) {
      toast(say('bench-mode-that-one-on-server'), { tone: 'wrong' });
      return;
    }
    this.viewed = null;
    toast(say('bench-mode-taken-back-r-brings'));
  }

  skip(reason: string): void {
    const current = this.step;
    if (!current) return;
    this.at.do('step_skipped', { step: current.id, reason });
    this.#onward(current);
  }

  digit(figure: string): void {
    clearTimeout(this.#digitTimer);
    this.digits += figure;
    const settle = () => {
      const to = Number(this.digits) - 1;
      this.digits = '';
      if (this.steps[to]) this.jump(to);
    };
    if (this.digits.length >= String(this.steps.length).length) settle();
    else this.#digitTimer = setTimeout(settle, 900);
  }

  async photograph(file: File | undefined): Promise<void> {
    // The first look inside and the last one make the pair of the record.
    const what = this.step?.id === 'cover_off' ? 'before' : this.step?.stage === 'close' ? 'after' : 'step';
    if (file) await this.at.addPhoto(file, what, this.step?.id ?? '');
  }
}
