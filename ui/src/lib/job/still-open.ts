// What of a job is still to be asked, and the limits of its sensors apart and together.
import { say } from '$words/page-job.ftl';
import type { Job } from '../api';
import { railStage, STAGES } from '../words';

const NO_LIMITS = {
  gpu_hotspot: null,
  memory_temperature: null,
  regulator_temperature: null,
  drive_temperature: null,
  skin_temperature: null,
};
type SensorLimits = { [role in keyof typeof NO_LIMITS]?: number | null };

/** Of a job or a device, with each limit of a sensor by itself. */
export const apart = <T extends { sensor_limits: Record<string, number> }>(of: T) => ({
  ...of,
  ...NO_LIMITS,
  ...of.sensor_limits,
});

/** What is sent of it: the limits of the sensors together, with those that stay. */
export function together<T extends object>(given: T & SensorLimits, kept: Record<string, number> = {}) {
  const { gpu_hotspot, memory_temperature, regulator_temperature, drive_temperature, skin_temperature, ...rest } =
    given;
  const limits = { gpu_hotspot, memory_temperature, regulator_temperature, drive_temperature, skin_temperature };
  const changed = Object.entries(limits).filter(([, value]) => value !== undefined);
  if (!changed.length) return rest;
  const all = Object.entries({ ...kept, ...Object.fromEntries(changed) }).filter(([, value]) => value !== null);
  return { ...rest, sensor_limits: Object.fromEntries(all) as Record<string, number> };
}

const LIMIT_KEYS = [
  'power_limit_cpu_w',
  'power_limit_gpu_w',
  'power_limit_both_w',
  'limit_c',
  ...(Object.keys(NO_LIMITS) as (keyof typeof NO_LIMITS)[]),
] as const;

const placeOf = (stage: string) => STAGES.findIndex(({ id }) => id === railStage(stage));

/** Nobody has opened it yet, as far as its stage tells. */
export const unopened = (job: Job) => job.stage !== 'done' && placeOf(job.stage) <= placeOf('open');

/** Questions that are not answered yet, each where it is needed, as long as the job has not gone past it. */
export const stillToAsk = (job: Job) =>
  [
    {
      about: 'limits' as const,
      open: LIMIT_KEYS.every((key) => apart(job)[key] === null),
      stage: 'before',
      until: 'plan',
      text: say('open-items-limits'),
    },
    {
      about: 'factory' as const,
      open: job.lidded === 'unknown' || !job.factory_interface,
      stage: 'plan',
      until: 'plan',
      text: say('open-items-factory'),
    },
    {
      about: 'warranty' as const,
      open: job.warranty === 'unknown' || job.seal === 'unknown',
      stage: 'open',
      until: 'open',
      text: say('open-items-warranty'),
    },
  ].filter((item) => item.open && job.stage !== 'done' && placeOf(job.stage) <= placeOf(item.until));
