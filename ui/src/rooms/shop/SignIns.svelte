<script lang="ts">
  import { say } from '$words/page-shop.ftl';
  // Where one is signed in, with a way to end each: a tablet that was left somewhere is signed out from here.
  import { onMount } from 'svelte';
  import { client, take, type Schemas } from '../../lib/api';
  import Button from '../../lib/parts/Button.svelte';
  import { moment } from '../../lib/format';
  import { toast } from '../../lib/toasts.svelte';

  let sessions = $state.raw<Schemas['OpenSession'][]>([]);

  /** What a browser says of itself, in two words. */
  function device(agent: string): string {
    const program = /(Firefox|Edg|Chrome|Safari)/.exec(agent)?.[1] ?? '';
    const names: Record<string, string> = { Edg: say('sign-ins-edge'), Chrome: say('sign-ins-chromium-family') };
    const system = /(Windows|Android|iPad|iPhone|Mac OS|Linux)/.exec(agent)?.[1] ?? '';
    return [names[program] ?? program, system].filter(Boolean).join(', ') || 'A program';
  }

  async function load(call: Promise<Schemas['SessionsOut']>, told = '') {
    sessions = (await call).sessions;
    if (told) toast(told);
  }

  onMount(() => void load(take(client.GET('/api/sessions'))));
  const end = (id: string) =>
    load(
      take(client.DELETE('/api/sessions/{session_id}', { params: { path: { session_id: id } } })),
      say('sign-ins-signed-out-there'),
    );
</script>

<h2>{say('sign-ins-where-you-signed-in')}</h2>
<ul>
  {#each sessions as one (one.id)}
    <li>
      <strong>{device(one.agent)}</strong>
      <span class="quiet"
        >{say('sign-ins-since-utc-last-seen', { began_at: moment(one.began_at), seen_at: moment(one.seen_at) })}</span
      >
      {#if one.here}<span class="here">{say('sign-ins-this-one')}</span>{:else}<Button
          label={say('sign-ins-sign-out-since', { agent: device(one.agent), began_at: moment(one.began_at) })}
          onclick={() => end(one.id)}>{say('sign-ins-sign-out-there')}</Button
        >{/if}
    </li>
  {/each}
</ul>

<style>
  h2 {
    margin-top: var(--gap-6);
  }
  ul {
    margin: var(--gap-3) 0 0;
    border-top: 1px solid var(--rule);
  }
  li {
    display: grid;
    grid-template-columns: 12rem 1fr auto;
    gap: var(--gap-4);
    align-items: center;
    min-height: var(--target);
    padding: var(--gap-2) 0;
    border-bottom: 1px solid var(--rule);
  }
  .here {
    color: var(--soft);
  }
  @media (max-width: 760px) {
    li {
      grid-template-columns: 1fr;
    }
  }
</style>
