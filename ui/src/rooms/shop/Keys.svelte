<script lang="ts">
  // Keys that sign records: the one in use, those before it, and a way out when one was stolen.
  import { say } from '$words/page-shop.ftl';
  import { client, take, type Schemas } from '../../lib/api';
  import { action, resource } from '../../lib/asking.svelte';
  import { day } from '../../lib/format';
  import Button from '../../lib/parts/Button.svelte';
  import Trouble from '../../lib/parts/Trouble.svelte';
  import Dialog from '../../lib/parts/Dialog.svelte';
  import { toast } from '../../lib/toasts.svelte';

  const found = resource(
    () => ({}),
    () => take(client.GET('/api/keys')),
  );
  const keys = $derived(found.value?.keys ?? null);
  let sure = $state.raw<Schemas['ShopKeyOut'] | null>(null);
  const STATES: Record<string, (key: Schemas['ShopKeyOut']) => string> = {
    signs: (key) => say('keys-signs', { day: day(key.made_at) }),
    retired: (key) => say('keys-retired', { day: day(key.since) }),
    withdrawn: (key) => say('keys-withdrawn', { day: day(key.since) }),
  };
  /** In groups, as one reads it out. */
  const grouped = (print: string) => print.replace(/(.{8})(?=.)/g, '$1 ');

  const change = action(async (call: () => Promise<Schemas['KeysOut']>, told: string) => {
    sure = null;
    found.value = await call();
    toast(told);
  });
  const renew = () => change.run(() => take(client.POST('/api/keys')), say('keys-renewed'));
  const withdraw = (fingerprint: string) => {
    const params = { path: { fingerprint } };
    return change.run(() => take(client.DELETE('/api/keys/{fingerprint}', { params })), say('keys-gone'));
  };
</script>

<h2>{say('keys-title')}</h2>
<p class="quiet lead">{say('keys-lead')}</p>
<Trouble of={[found, change]} />
{#if keys && !keys.length}<p>{say('keys-none')}</p>{/if}
<ul>
  {#each keys ?? [] as key (key.fingerprint)}
    <li class={key.state}>
      <code>{grouped(key.fingerprint)}</code>
      <span>{STATES[key.state]?.(key)}</span>
      {#if key.state !== 'withdrawn'}
        <Button label={say('keys-withdraw-which', { number: key.fingerprint.slice(0, 8) })} onclick={() => (sure = key)}
          >{say('keys-withdraw')}</Button
        >
      {/if}
    </li>
  {/each}
</ul>
<Button busy={change.busy} onclick={() => void renew()}>{say('keys-renew')}</Button>
<Dialog title={say('keys-sure')} bind:open={() => sure !== null, (open) => (sure = open ? sure : null)}>
  {#if sure}
    <p>{say('keys-sure-words')}</p>
    <p><code>{grouped(sure.fingerprint)}</code></p>
    <div class="row">
      <Button kind="main" busy={change.busy} onclick={() => sure && void withdraw(sure.fingerprint)}
        >{say('keys-withdraw')}</Button
      >
      <Button onclick={() => (sure = null)}>{say('keys-keep')}</Button>
    </div>
  {/if}
</Dialog>

<style>
  .lead {
    max-width: 44rem;
    margin: var(--gap-2) 0 var(--gap-4);
  }
  ul {
    margin: 0 0 var(--gap-4);
    border-top: 1px solid var(--rule);
  }
  li {
    display: grid;
    grid-template-columns: minmax(0, 1.4fr) minmax(0, 1fr) auto;
    gap: var(--gap-2) var(--gap-4);
    align-items: center;
    min-height: var(--target);
    padding: var(--gap-2) 0;
    border-bottom: 1px solid var(--rule);
  }
  code {
    font-family: inherit;
    font-variant-numeric: tabular-nums;
    overflow-wrap: anywhere;
  }
  .signs code {
    font-weight: 700;
  }
  .row {
    display: flex;
    gap: var(--gap-3);
    margin-top: var(--gap-4);
  }
  .withdrawn code {
    text-decoration: line-through;
  }
  @media (max-width: 640px) {
    li {
      grid-template-columns: minmax(0, 1fr);
    }
  }
</style>
