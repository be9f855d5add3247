import { beforeEach, describe, expect, it, vi } from 'vitest';
import { Problem } from './api';
import { draftsOf } from './draft.svelte';
import { LiveForm, type Ways } from './live-form.svelte';
import { problem } from './test-server';

const SERVER = { customer: 'Wen', maker: 'Ondervale', serial: '' };
type Form = typeof SERVER;
const stale = () => new Problem(problem({ status: 409, reason: 'stale' }));

/** A form, and what it has sent. */
function made(server: Form = SERVER, more: Partial<Ways<Form>> = {}) {
  const sent: { form: Form; changed: string[] }[] = [];
  const write = vi.fn(async (form: Form, changed: (keyof Form)[]) => {
    sent.push({ form, changed });
    return { ...server, ...form };
  });
  const form = new LiveForm(server, { key: 'intake:j1', write, reload: async () => undefined, ...more });
  return { form, sent, write };
}

beforeEach(() => {
  localStorage.clear();
  draftsOf('ada');
});

describe('a form over what others change too', () => {
  it('sends what a hand changed and nothing else', async () => {
    const { form, sent } = made();
    form.fields.customer = 'Wen Li';
    expect(await form.save()).toBe(true);
    expect(sent.map((s) => s.changed)).toEqual([['customer']]);
  });

  it('takes what another screen saved and keeps what was typed here', () => {
    const { form } = made();
    form.fields.customer = 'Wen Li';
    form.take({ ...SERVER, maker: 'Tern' });
    expect(form.fields).toEqual({ customer: 'Wen Li', maker: 'Tern', serial: '' });
    expect(form.changed).toEqual(['customer']);
    expect(form.clashes).toEqual([]);
  });

  it('lays a draft on nothing but the field that was typed in', async () => {
    const first = made().form;
    first.fields.customer = 'Wen Li';
    first.track();
    // A colleague saves maker and serial; the page is opened again.
    const { form, sent } = made({ ...SERVER, maker: 'Tern', serial: 'S-1' });
    expect(form.fields).toEqual({ customer: 'Wen Li', maker: 'Tern', serial: 'S-1' });
    expect(form.restored).toBe(true);
    await form.save();
    expect(sent[0]?.changed).toEqual(['customer']);
  });

  it('shows both sides of a draft that a colleague was faster with, and sends neither until one is chosen', async () => {
    const first = made().form;
    first.fields.customer = 'Wen Li';
    first.fields.serial = 'S-9';
    first.track();
    const { form, sent } = made({ ...SERVER, customer: 'Wanda' });
    expect(form.clashes).toEqual([{ key: 'customer', mine: 'Wen Li', theirs: 'Wanda' }]);
    expect(await form.save()).toBe(false);
    expect(sent.map((s) => s.changed)).toEqual([['serial']]);
    form.settle('customer', false);
    expect(await form.save()).toBe(true);
    expect(sent.at(-1)?.changed).toEqual(['customer']);
  });

  it('takes the other side when it is chosen, and has nothing left to send', async () => {
    const { form, write } = made();
    form.fields.customer = 'Wen Li';
    form.take({ ...SERVER, customer: 'Wanda' });
    form.settle('customer', true);
    expect(form.fields.customer).toBe('Wanda');
    expect(await form.save()).toBe(true);
    expect(write).not.toHaveBeenCalled();
  });

  it('loads and merges by itself when it was out of date', async () => {
    const answers = [stale(), null];
    const { form, sent } = made(SERVER, {
      write: async (typed, changed) => {
        sent.push({ form: typed, changed });
        const refused = answers.shift();
        if (refused) throw refused;
        return typed;
      },
      reload: async () => form.take({ ...SERVER, maker: 'Tern' }),
    });
    form.fields.customer = 'Wen Li';
    expect(await form.save()).toBe(true);
    expect(sent.map((s) => s.changed)).toEqual([['customer'], ['customer']]);
    expect(form.fields.maker).toBe('Tern');
    expect(form.trouble).toBeNull();
  });

  it('tells what stays out of date after that', async () => {
    const { form } = made(SERVER, { write: async () => Promise.reject(stale()) });
    form.fields.customer = 'Wen Li';
    expect(await form.save()).toBe(false);
    expect(form.trouble?.body.reason).toBe('stale');
    expect(form.fields.customer).toBe('Wen Li');
  });

  it('leaves a field as it is typed while its number is saved', async () => {
    const { form } = made(SERVER, { write: async (typed) => ({ ...typed, serial: '1' }) });
    form.fields.serial = '1.';
    await form.save();
    expect(form.fields.serial).toBe('1.');
    expect(form.changed).toEqual([]);
  });

  it('hears no other hand in what the server makes of its own words while they are under way', async () => {
    const server = { ...SERVER, serial: '' };
    const { form } = made(server, {
      write: async () => {
        // The page is told of the change before its own answer is there: written as the server writes it.
        form.take({ ...server, serial: '89.00' });
        return { ...server, serial: '89.00' };
      },
    });
    form.fields.serial = '89,00';
    expect(await form.save()).toBe(true);
    expect(form.clashes).toEqual([]);
    expect(form.fields.serial).toBe('89,00');
    expect(form.changed).toEqual([]);
  });

  it('sends no proposal that nobody touched', async () => {
    const write = vi.fn(async (typed: Form) => typed);
    const ways = { key: 'k', write, reload: async () => undefined };
    const form = new LiveForm(SERVER, ways, { serial: 'S-1' });
    expect(form.fields.serial).toBe('S-1');
    form.fields.customer = 'Wen Li';
    await form.save();
    expect(write).toHaveBeenCalledWith(expect.anything(), ['customer']);
  });

  it('opens no draft of one person for the next', () => {
    const first = made().form;
    first.fields.customer = 'Wen Li, 030 1234';
    first.track();
    draftsOf('bo');
    expect(made().form.fields.customer).toBe('Wen');
    draftsOf('ada');
    expect(made().form.fields.customer).toBe('Wen Li, 030 1234');
  });
});
