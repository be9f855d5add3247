import { render, screen } from '@testing-library/svelte';
import userEvent from '@testing-library/user-event';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { json, problem, serve, type Asked } from '../../lib/test-server';
import { makeJob } from '../../lib/test-jobs';
import Workings from './Workings.svelte';

const input = (key: string, words: string, more = {}) => ({
  key, words, unit: '', example: '2', needed: true, choices: [] as string[], ...more,
}); // prettier-ignore
const info = {
  name: 'syringe', title: 'Syringe', words: 'whether it can be right', group: 'Material', formula: 'm / V',
  limits: '0.01 to 1000 mL', source: 'Definition of density',
  inputs: [input('volume_ml', 'Volume', { unit: 'mL', example: '0.2' }), input('mass_g', 'Mass', { unit: 'g', example: '2.1' })],
}; // prettier-ignore
const life = {
  ...info,
  name: 'life',
  title: 'Life',
  group: 'Bench',
  inputs: [input('kind', 'Interface', { choices: ['pad', 'putty'], example: 'putty' })],
};
const worked = { results: [{ key: 'density', words: 'Density', text: '10.50', unit: 'g/mL' }], drawings: [] };

beforeEach(() => history.replaceState(null, '', '/workings/syringe'));
afterEach(() => vi.unstubAllGlobals());
const user = userEvent.setup();

describe('workings', () => {
  it('work while typing, show what stands behind it, and carry the inputs in the link', async () => {
    const log = serve({
      'GET /api/workings': { workings: [info, life], procedures: [] },
      'POST /api/workings/syringe': worked,
    });
    render(Workings, { name: 'syringe' });
    expect(await screen.findByText('10.50')).toBeVisible();
    for (const words of ['m / V', '0.01 to 1000 mL', 'Definition of density'])
      expect(screen.getByText(words)).toBeVisible();
    await user.type(screen.getByLabelText('Volume'), '5');
    await vi.waitFor(() => expect(location.search).toBe('?volume_ml=0.25&mass_g=2.1'));
    expect(log.findLast((a) => a.method === 'POST')?.body).toEqual({ given: { volume_ml: '0.25', mass_g: '2.1' } });
  });

  it('take their inputs from the link', async () => {
    history.replaceState(null, '', '/workings/syringe?volume_ml=3&mass_g=9');
    serve({ 'GET /api/workings': { workings: [info], procedures: [] }, 'POST /api/workings/syringe': worked });
    render(Workings, { name: 'syringe' });
    expect(await screen.findByLabelText('Mass')).toHaveValue('9');
  });

  it('put a refusal beside its field and show no figure', async () => {
    const refuse = (asked: Asked) =>
      (asked.body as { given: Record<string, string> }).given.mass_g === '2.1'
        ? worked
        : json(422, problem({ errors: [{ field: 'mass_g', message: 'Mass is 0 g.', remedy: 'Weigh it.' }] }));
    serve({ 'GET /api/workings': { workings: [info], procedures: [] }, 'POST /api/workings/syringe': refuse });
    render(Workings, { name: 'syringe' });
    await screen.findByText('10.50');
    await user.clear(screen.getByLabelText('Mass'));
    await user.type(screen.getByLabelText('Mass'), '0');
    expect(await screen.findByRole('alert')).toHaveTextContent('Mass is 0 g. Weigh it.');
    expect(screen.queryByText('10.50')).toBeNull();
  });

  it('go into a job', async () => {
    const log = serve({
      'GET /api/workings': { workings: [info], procedures: [] },
      'POST /api/workings/syringe': worked,
      'GET /api/bench': { jobs: [makeJob(), makeJob({ id: 'j2', stage: 'stopped', model: 'Tern' })], total: 2 },
      'POST /api/jobs/j1/plan/notes': () => json(201, {}),
    });
    render(Workings, { name: 'syringe' });
    await user.click(await screen.findByRole('button', { name: 'Put into a job' }));
    expect(screen.queryByText('Tern')).toBeNull();
    await user.click(await screen.findByRole('button', { name: /Marrow 15/ }));
    expect(log.find((a) => a.path.endsWith('/plan/notes'))?.body).toEqual({
      name: 'syringe',
      given: { volume_ml: '0.2', mass_g: '2.1' },
    });
  });

  it('hold the step lists with what must not be forgotten', async () => {
    const step = { text: 'Peel the second liner', why: 'forgetting it ruins the result', wait_min: 0, gear: '' };
    const procedure = {
      name: 'sheet',
      words: 'Phase-change sheet',
      caution: 'Fingers off.',
      wait_min: 75,
      steps: [step],
    };
    serve({ 'GET /api/workings': { workings: [info], procedures: [procedure] } });
    render(Workings, { name: 'steps' });
    await user.click(await screen.findByText('Phase-change sheet, step by step, 75 min of waiting'));
    expect(screen.getByText('Peel the second liner')).toBeVisible();
    expect(screen.getByText('Fingers off.')).toBeVisible();
  });

  it('says when there is no such calculator', async () => {
    serve({ 'GET /api/workings': { workings: [info], procedures: [] } });
    render(Workings, { name: 'magic' });
    expect(await screen.findByText('There is no calculator “magic”.')).toBeVisible();
  });

  it('offer the words that are allowed', async () => {
    history.replaceState(null, '', '/workings/life');
    serve({
      'GET /api/workings': { workings: [life], procedures: [] },
      'POST /api/workings/life': { results: [], drawings: [] },
    });
    render(Workings, { name: 'life' });
    expect(await screen.findByLabelText('Interface')).toHaveValue('putty');
  });
});
