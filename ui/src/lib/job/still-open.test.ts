import { describe, expect, it } from 'vitest';
import { makeJob } from '../test-jobs';
import { apart, stillToAsk, together } from './still-open';

describe('questions about a job', () => {
  it('keeps each limit of a sensor a field of its own, and sends them together', () => {
    const job = makeJob({ sensor_limits: { gpu_hotspot: 105 } });
    expect(apart(job)).toMatchObject({ gpu_hotspot: 105, memory_temperature: null });
    const kept = job.sensor_limits;
    expect(together({ memory_temperature: 95 }, kept)).toEqual({
      sensor_limits: { gpu_hotspot: 105, memory_temperature: 95 },
    });
    expect(together({ gpu_hotspot: null }, kept)).toEqual({ sensor_limits: {} });
    expect(together({ limit_c: 95 }, kept)).toEqual({ limit_c: 95 });
  });

  it('holds open what nobody was asked, until the job has gone past it', () => {
    const job = makeJob({ limit_c: null, warranty: 'unknown', factory_interface: 'stiff paste', lidded: 'no' });
    expect(stillToAsk(job).map((item) => item.stage)).toEqual(['before', 'open']);
    expect(stillToAsk({ ...job, stage: 'clean' })).toEqual([]);
    expect(stillToAsk({ ...job, stage: 'done' })).toEqual([]);
  });
});
