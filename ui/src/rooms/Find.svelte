<script lang="ts">
  // Finds anything from anywhere: jobs and devices on the server, the shelf, models and calculators by their names.
  import { say } from '../lib/say';
  import { client, take } from '../lib/api';
  import { SUBJECTS, titleOf } from '../lib/handbook';
  import { resource } from '../lib/asking.svelte';
  import Trouble from '../lib/parts/Trouble.svelte';
  import Dialog from '../lib/parts/Dialog.svelte';
  import TextField from '../lib/parts/TextField.svelte';
  import type { Address } from '../pages';
  import { recent } from '../lib/recent';
  import { go } from '../lib/router.svelte';

  interface Hit {
    href: Address;
    what: string;
    name: string;
    more: string;
  }
  interface Props {
    open: boolean;
  }
  let { open = $bindable() }: Props = $props();
  let text = $state('');

  /** What is few enough to be looked through here; asked for once, when the search is first opened. */
  async function loadNamed(): Promise<Hit[]> {
    const [shelf, models, workings] = await Promise.all([
      take(client.GET('/api/shelf')),
      take(client.GET('/api/models')),
      take(client.GET('/api/workings')),
    ]);
    const hit = (href: Address, what: string, name: string, more = ''): Hit => ({ href, what, name, more });
    return [
      ...shelf.products.map((p) =>
        hit('/shelf', say('find-shelf'), p.name, p.lots.map((l) => say('find-lot', { code: l.code })).join(', ')),
      ),
      ...models.models.map((m) => hit(`/models/${m.id}`, say('find-model'), m.model, m.maker)),
      ...workings.workings.map((w) => hit(`/workings/${w.name}`, say('find-working'), w.title, w.group)),
      ...SUBJECTS.map((s) => hit(`/handbook/${s}`, say('find-handbook'), titleOf(s) ?? s)),
    ];
  }
  const lists = resource(() => (open ? {} : null), loadNamed);
  const named = $derived(lists.value ?? []);

  // Searches on the server while one types.
  const find = $derived(text.trim());
  const searched = resource(
    () => (open && find ? { find } : null),
    async (query) => {
      const [page, devices] = await Promise.all([
        take(client.GET('/api/jobs', { params: { query: { ...query, all: true, limit: 8 } } })),
        take(client.GET('/api/devices', { params: { query: { ...query, limit: 4, offset: 0 } } })),
      ]);
      return [
        ...page.jobs.map((j) => ({
          href: `/jobs/${j.id}` as const,
          what: say('find-job', { number: j.number }),
          name: j.model,
          more: j.customer_name,
        })),
        ...devices.devices.map((d) => ({
          href: `/devices/${d.id}` as const,
          what: say('find-device'),
          name: d.model,
          more: [d.customer, d.serial, d.tag].filter(Boolean).join(', '),
        })),
      ];
    },
    100,
  );
  const jobs = $derived(searched.value ?? []);

  const words = $derived(text.toLowerCase().split(/\s+/).filter(Boolean));
  const hits = $derived(
    words.length
      ? [
          ...jobs,
          ...named.filter((h) => words.every((w) => `${h.name} ${h.more}`.toLowerCase().includes(w))).slice(0, 8),
        ]
      : recent().map((r) => ({
          href: `/jobs/${r.id}` as const,
          what: say('find-job', { number: r.number }),
          name: r.model,
          more: r.customer,
        })),
  );

  function take_(href: Address) {
    open = false;
    text = '';
    go(href);
  }
</script>

<Dialog title={say('find-find')} bind:open>
  <form
    onsubmit={(e) => {
      e.preventDefault();
      if (hits[0]) take_(hits[0].href);
    }}
  >
    <TextField label={say('find-anything')} name="find" bind:value={text} hint={say('find-anything-hint')} focusFirst />
  </form>
  <Trouble of={[lists, searched]} />
  {#if !words.length && hits.length}<p class="quiet">{say('find-recent')}</p>{/if}
  <ul>
    {#each hits as hit (hit.href + hit.name)}
      <li>
        <button type="button" onclick={() => take_(hit.href)}>
          <span class="quiet">{hit.what}</span>
          <strong>{hit.name}</strong>
          <span class="quiet more">{hit.more}</span>
        </button>
      </li>
    {:else}
      <li class="quiet">{words.length ? say('find-nothing-fits', { text }) : say('find-type')}</li>
    {/each}
  </ul>
</Dialog>

<style>
  p {
    margin-top: var(--gap-3);
  }
  ul {
    margin-top: var(--gap-2);
  }
  button {
    display: grid;
    grid-template-columns: 7rem minmax(0, 1fr) minmax(0, 1fr);
    gap: var(--gap-3);
    align-items: baseline;
    width: 100%;
    min-height: var(--target);
    padding: var(--gap-2);
    border: 0;
    border-bottom: 1px solid var(--rule);
    background: none;
    text-align: left;
    cursor: pointer;
  }
  button:hover {
    background: var(--owl-tint);
  }
  @media (max-width: 640px) {
    button {
      grid-template-columns: 5rem minmax(0, 1fr);
      gap: 0 var(--gap-2);
    }
    .more {
      grid-column: 2;
    }
  }
</style>
