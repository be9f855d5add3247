<script lang="ts">
  // Tablets of the shop: how one comes in, which ones are in, and a way to withdraw each.
  import { say } from '$words/page-shop.ftl';
  import { client, take, type Schemas } from '../../lib/api';
  import { action, resource } from '../../lib/asking.svelte';
  import { moment } from '../../lib/format';
  import { answers, type FieldList } from '../../lib/fields';
  import Button from '../../lib/parts/Button.svelte';
  import DataTable from '../../lib/parts/DataTable.svelte';
  import FilledForm from '../../lib/parts/FilledForm.svelte';
  import Notice from '../../lib/parts/Notice.svelte';
  import Trouble from '../../lib/parts/Trouble.svelte';
  import { SentForm } from '../../lib/sent-form.svelte';
  import { toast } from '../../lib/toasts.svelte';
  import Pedals from './Pedals.svelte';

  interface Props {
    owner: boolean;
  }
  let { owner }: Props = $props();
  const listed = resource(
    () => (owner ? {} : null),
    () => take(client.GET('/api/tablets')),
  );
  const found = $derived(listed.value);
  let code = $state.raw<Schemas['PairingOut'] | null>(null);
  const offer = new SentForm(
    [
      { key: 'name', label: say('shop-tablet-name'), hint: say('shop-tablet-name-hint'), needed: true },
      { key: 'role', kind: 'choice', label: say('shop-role'), options: answers('shop', ['technician', 'owner']) },
    ] as const satisfies FieldList,
    async (body) => {
      code = await take(client.POST('/api/tablets/pairings', { body }));
    },
  );
  const withdraw = action(async (tablet_id: string, name: string) => {
    listed.value = await take(client.DELETE('/api/tablets/{tablet_id}', { params: { path: { tablet_id } } }));
    toast(say('shop-tablet-withdrawn', { name }));
  });
</script>

<Trouble of={[listed, withdraw]} />
{#if owner && found}
  <h2>{say('shop-tablets')}</h2>
  {#if found.lan}
    <div class="steps">
      <section class="lay-stack">
        <h3>{say('shop-tablet-trust')}</h3>
        <img
          src={found.lan.authority_drawing}
          alt={say('shop-tablet-trust-code', { at: found.lan.authority_address })}
        />
        <p>{say('shop-tablet-trust-how', { at: found.lan.authority_address })}</p>
        <p class="quiet">{say('shop-tablet-fingerprint')}<br /><code>{found.lan.fingerprint}</code></p>
      </section>
      <section class="lay-stack">
        <h3>{say('shop-tablet-pair')}</h3>
        {#if code}
          <img src={code.drawing} alt={say('shop-tablet-pair-code')} />
          <p>{say('shop-tablet-pair-how', { until: moment(code.until) })}</p>
          <Button onclick={() => (code = null)}>{say('shop-tablet-another')}</Button>
        {:else}
          <FilledForm form={offer} kind="main" lay="stack" action={say('shop-tablet-make-code')} />
        {/if}
      </section>
    </div>
  {:else}
    <Notice title={say('shop-lan-off')}>{say('shop-lan-off-how')} <code>./start --lan</code></Notice>
  {/if}
  {#if found.tablets.length}
    {#snippet end(t: (typeof found.tablets)[number])}
      <Button label={say('shop-tablet-withdraw-one', { name: t.name })} onclick={() => void withdraw.run(t.id, t.name)}
        >{say('shop-tablet-withdraw')}</Button
      >
    {/snippet}
    <DataTable
      weight="strong"
      rows={found.tablets}
      key={(t) => t.id}
      columns={[
        { head: say('shop-tablet'), name: true, text: (t) => `${t.name}${t.here ? say('shop-this-one') : ''}` },
        { head: say('shop-role'), text: (t) => say(`shop-${t.role}`) },
        { head: say('shop-tablet-since'), text: (t) => moment(t.paired_at) },
        { head: say('shop-tablet-seen'), text: (t) => moment(t.seen_at) },
        { head: '', cell: end },
      ]}
    />
  {:else}
    <p class="quiet none">{say('shop-no-tablet-yet')}</p>
  {/if}
{/if}
<Pedals />

<style>
  h2 {
    margin-bottom: var(--gap-2);
  }
  .steps {
    display: grid;
    grid-template-columns: repeat(auto-fit, minmax(min(100%, 20rem), 1fr));
    gap: var(--gap-5);
    margin-bottom: var(--gap-5);
  }
  section {
    align-content: start;
    justify-items: start;
    padding: var(--gap-4);
    border: var(--line) solid var(--edge);
    border-radius: var(--round);
    background: var(--sheet);
  }
  img {
    width: min(15rem, 100%);
    background: #fff;
  }
  code {
    overflow-wrap: anywhere;
    font-size: var(--size-0);
  }
  .none {
    margin-bottom: var(--gap-4);
  }
</style>
