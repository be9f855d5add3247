// The one scale that all options of a plan share: what is shown, where now is, and how far the axis goes.
import { say } from '$words/page-plan.ftl';
import type { Option, Plan } from '../../lib/api';

export interface Interval {
  low: number;
  median: number;
  high: number;
}

export interface PlanScale {
  unit: string;
  title: string;
  now: number;
  /** Half-width of what a Before and an After cannot tell apart. */
  blur: number;
  low: number;
  high: number;
  ticks: number[];
  of: (option: Option) => Interval | null;
  measured: number | null;
}

function niceStep(span: number): number {
  const rough = span / 6;
  const power = 10 ** Math.floor(Math.log10(rough));
  return [1, 2, 5, 10].map((f) => f * power).find((s) => s >= rough) ?? 10 * power;
}

export function scaleOf(plan: Plan): PlanScale | null {
  if (!plan.options.length || plan.before_die_c === null) return null;
  const noise = plan.goal === 'quieter' && !plan.fanless;
  const watts = !noise && (plan.held || plan.goal === 'faster') && plan.before_watts !== null;
  const of = (o: Option) => (noise ? o.noise_db : watts ? o.watts : o.die_c);
  const now = noise ? 0 : watts ? (plan.before_watts ?? 0) : plan.before_die_c;
  const blur = noise ? plan.measurable_db : watts ? (plan.measurable_w ?? 0) : (plan.measurable_k ?? 0);
  const measured = noise || !plan.outcome ? null : watts ? plan.outcome.watts : plan.outcome.die_c;
  const values = plan.options.flatMap((o) => {
    const i = of(o);
    return i ? [i.low, i.high] : [];
  });
  if (measured !== null) values.push(measured);
  const [min, max] = [Math.min(now - blur, ...values), Math.max(now + blur, ...values)];
  const step = niceStep(Math.max(max - min, 1));
  const [low, high] = [Math.floor(min / step) * step, Math.ceil(max / step) * step];
  const ticks = Array.from({ length: Math.round((high - low) / step) + 1 }, (_, i) => low + i * step);
  return {
    unit: noise ? 'dB' : watts ? 'W' : '°C',
    title: noise
      ? say('scale-change-level-at-temperature')
      : watts
        ? say('scale-watts-todays-work-that')
        : say('scale-die-temperature-at-work'),
    now,
    blur,
    low,
    high,
    ticks,
    of,
    measured,
  };
}

/** Where a value lies on an axis of this width. */
export function place(scale: PlanScale, value: number, width: number): number {
  return ((value - scale.low) / (scale.high - scale.low)) * width;
}
