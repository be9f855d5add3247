import { describe, expect, it } from 'vitest';
import { go, listen, match, router } from './router.svelte';

describe('router', () => {
  it('reads the names in a pattern and fits whole paths only', () => {
    expect(match('/jobs/:id/:stage', '/jobs/7/before')).toEqual({ id: '7', stage: 'before' });
    expect(match('/jobs/:id', '/jobs/7/before')).toBeNull();
    expect(match('', '/')).toEqual({});
  });

  it('follows links inside and leaves downloads and the API alone', () => {
    const stop = listen();
    go('/');
    document.body.innerHTML =
      '<a id="in" href="/jobs">in</a><a id="api" href="/api/x">api</a><a id="d" href="/y" download>d</a>';
    const click = (id: string) => {
      const event = new MouseEvent('click', { bubbles: true, cancelable: true });
      document.getElementById(id)?.dispatchEvent(event);
      return event.defaultPrevented;
    };
    expect(click('in')).toBe(true);
    expect(router.path).toBe('/jobs');
    expect(click('api')).toBe(false);
    expect(click('d')).toBe(false);
    expect(router.path).toBe('/jobs');
    stop();
  });
});
