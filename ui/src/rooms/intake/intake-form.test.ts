import { describe, expect, it } from 'vitest';
import { check, emptyForm, only } from './intake-form';

const filled = { ...emptyForm(), customer_name: 'Wen', model: 'Marrow 15' };

describe('intake form', () => {
  it('asks for customer and model in words', () => {
    const { errors } = check(emptyForm());
    expect(errors?.customer_name).toContain('needed');
    expect(errors?.model).toContain('needed');
  });
  it('sends empty numbers as not known, never as zero', () => {
    const { body } = check(filled);
    expect(body?.age_months).toBeNull();
    expect(body?.limit_c).toBeNull();
  });
  it('reads a decimal comma and refuses words', () => {
    expect(check({ ...filled, power_limit_cpu_w: '45,5' }).body?.power_limit_cpu_w).toBe(45.5);
    expect(check({ ...filled, limit_c: 'hot' }).errors?.limit_c).toContain('“hot” is no number');
  });
  it('wants whole months', () => {
    expect(check({ ...filled, age_months: '3.5' }).errors?.age_months).toBe('Whole months, please.');
  });
  it('sends the limits of sensors together, and keeps each a field of its own', () => {
    const typed = { ...filled, limit_memory_temperature: '95', limit_gpu_hotspot: '' };
    const { body } = check(typed);
    expect(body?.sensor_limits).toEqual({ memory_temperature: 95 });
    expect(body).not.toHaveProperty('limit_memory_temperature');
    expect(only(body!, ['limit_memory_temperature'])).toEqual({ sensor_limits: { memory_temperature: 95 } });
    const wrong = check({ ...filled, limit_skin_temperature: 'warm' }).errors;
    expect(wrong?.limit_skin_temperature).toContain('“warm” is no number');
  });
});
