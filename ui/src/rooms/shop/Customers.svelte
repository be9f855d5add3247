<script lang="ts">
  // Customers by name or contact; of the one chosen, all that is kept, to take along or to erase.
  import { action, resource } from '../../lib/asking.svelte';
  import { client, take, type Schemas } from '../../lib/api';
  import { day } from '../../lib/format';
  import Button from '../../lib/parts/Button.svelte';
  import TextField from '../../lib/parts/TextField.svelte';
  import Trouble from '../../lib/parts/Trouble.svelte';
  import { toast } from '../../lib/toasts.svelte';
  import Erase from './Erase.svelte';
  import { say } from '$words/page-data.ftl';

  type Customer = Schemas['CustomerOut'];
  let find = $state('');
  let chosen = $state.raw<Customer | null>(null);

  const open = $derived(chosen?.jobs.filter((job) => job.open).map((job) => job.number) ?? []);

  // The list follows what is typed.
  const listed = resource(
    () => ({ find }),
    async (query) => (await take(client.GET('/api/customers', { params: { query } }))).customers,
    150,
  );
  const found = $derived(listed.value);
  const choose = action(async (customer_id: string) => {
    chosen = await take(client.GET('/api/customers/{customer_id}', { params: { path: { customer_id } } }));
  });
  const erase = action(async (name: string) => {
    const path = { customer_id: chosen?.id ?? '' };
    chosen = await take(client.POST('/api/customers/{customer_id}/erase', { params: { path }, body: { name } }));
    await listed.load();
    toast(say('customers-erased-now'));
  });
</script>

<h2>{say('customers-title')}</h2>
<p class="quiet lead">{say('customers-lead')}</p>
{#if chosen}
  <p class="back"><Button onclick={() => (chosen = null)}>{say('customers-back')}</Button></p>
  <h3>{chosen.name}</h3>
  <p class="quiet">
    {[
      chosen.contact,
      say('customers-devices', { count: chosen.devices }),
      say('customers-jobs', { count: chosen.jobs.length }),
      chosen.erased_at ? say('customers-erased', { day: day(chosen.erased_at) }) : '',
    ]
      .filter(Boolean)
      .join(' · ')}
  </p>
  <ul>
    {#each chosen.jobs as job (job.id)}
      <li>
        <a href="/jobs/{job.id}">{job.number}</a><span>{job.device}</span><span class="quiet"
          >{day(job.day)}{#if job.open}, {say('customers-here')}{/if}</span
        >
      </li>
    {/each}
  </ul>
  <Trouble of={erase} />
  <p class="quiet lead">{say('customers-save-what')}</p>
  <div class="row">
    <Button kind="main" href="/api/customers/{chosen.id}/data.zip" download>{say('customers-save')}</Button>
  </div>
  {#if !chosen.erased_at}<Erase
      name={chosen.name}
      {open}
      busy={erase.busy}
      onerase={(name) => void erase.run(name)}
    />{/if}
{:else}
  <TextField label={say('customers-find')} name="find" hint={say('customers-find-hint')} bind:value={find} />
  <Trouble of={[listed, choose]} />
  {#if found?.length}
    <ul>
      {#each found as one (one.id)}
        <li>
          <button type="button" onclick={() => void choose.run(one.id)}>{one.name}</button>
          <span>{one.contact || '–'}</span>
          <span class="quiet"
            >{say('customers-jobs', { count: one.jobs })}{#if one.last_on}, {say('customers-last', {
                day: day(one.last_on),
              })}{/if}</span
          >
        </li>
      {/each}
    </ul>
  {:else if found}
    <p class="quiet">{find ? say('customers-none') : say('customers-none-yet')}</p>
  {/if}
{/if}

<style>
  .lead {
    max-width: 44rem;
    margin: var(--gap-2) 0 var(--gap-4);
  }
  .back {
    margin-bottom: var(--gap-4);
  }
  ul {
    margin: var(--gap-3) 0 var(--gap-4);
    border-top: 1px solid var(--rule);
  }
  li {
    display: grid;
    grid-template-columns: minmax(0, 1.2fr) minmax(0, 1fr) minmax(0, 1fr);
    gap: var(--gap-2) var(--gap-4);
    align-items: center;
    min-height: var(--target);
    border-bottom: 1px solid var(--rule);
    overflow-wrap: anywhere;
  }
  li a,
  button {
    display: inline-flex;
    align-items: center;
    min-width: var(--target);
    min-height: var(--target);
  }
  button {
    padding: 0;
    border: 0;
    background: none;
    color: var(--owl);
    font-weight: 620;
    text-align: left;
    text-decoration: underline;
    text-underline-offset: 4px;
    cursor: pointer;
  }
  .row {
    display: flex;
    gap: var(--gap-3);
  }
  @media (max-width: 640px) {
    li {
      grid-template-columns: minmax(0, 1fr);
      gap: 0;
      padding: var(--gap-2) 0;
    }
  }
</style>
