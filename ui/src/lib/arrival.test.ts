import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { followArrivals, titleOf, type Arrivals } from './arrival';

const main = () => document.querySelector('main') as HTMLElement;
let arrivals: Arrivals;

beforeEach(() => {
  vi.stubGlobal('scrollTo', vi.fn());
  document.body.innerHTML = '<nav><a href="/jobs" id="link">Jobs</a></nav><main></main>';
  arrivals = followArrivals();
});
afterEach(() => arrivals.stop());

describe('arriving at a page', () => {
  it('takes the title from the stage, the heading and the product', async () => {
    main().innerHTML = '<h1>Marrow 17</h1><div data-stage="Plan"><h2>Plan: what to do</h2></div>';
    expect(titleOf(main())).toBe('Plan · Marrow 17 · Vivid Owl');
    await vi.waitFor(() => expect(document.title).toBe('Plan · Marrow 17 · Vivid Owl'));
    main().innerHTML = '<h1>Shelf</h1>';
    await vi.waitFor(() => expect(document.title).toBe('Shelf · Vivid Owl'));
  });

  it('brings the focus to the heading that comes later, of a stage to its own', async () => {
    document.getElementById('link')?.focus();
    main().innerHTML = '<h1>Marrow 17</h1><div data-stage="Plan"></div>';
    arrivals.expect(0);
    await Promise.resolve();
    expect(document.activeElement?.id).toBe('link');
    main().lastElementChild?.append(Object.assign(document.createElement('h2'), { textContent: 'What to do' }));
    await vi.waitFor(() => expect(document.activeElement?.textContent).toBe('What to do'));
  });

  it('leaves the cursor where a form has put it, and the focus alone while nobody goes anywhere', async () => {
    main().innerHTML = '<h1>New job</h1><input />';
    main().querySelector('input')?.focus();
    arrivals.expect(0);
    await Promise.resolve();
    expect(document.activeElement?.tagName).toBe('INPUT');
    main().append(document.createElement('p'));
    await Promise.resolve();
    expect(document.activeElement?.tagName).toBe('INPUT');
  });

  it('goes down to where one was once the page is long enough', async () => {
    const height = vi.spyOn(document.documentElement, 'scrollHeight', 'get').mockReturnValue(200);
    arrivals.expect(900);
    main().innerHTML = '<h1>Jobs</h1>';
    await new Promise((done) => setTimeout(done, 20));
    expect(scrollTo).not.toHaveBeenCalled();
    height.mockReturnValue(5000);
    main().append(document.createElement('p'));
    await vi.waitFor(() => expect(scrollTo).toHaveBeenCalledWith(0, 900));
    expect(document.activeElement?.tagName).toBe('H1');
    height.mockRestore();
  });
});
