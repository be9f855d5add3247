<script lang="ts">
  // Links by which the customer opens the record on a phone: to show, to copy, to withdraw.
  import { say } from './closed-words';
  import { onMount } from 'svelte';
  import { client, Problem, take, type Schemas } from '../../lib/api';
  import { day } from '../../lib/format';
  import Button from '../../lib/parts/Button.svelte';
  import Notice from '../../lib/parts/Notice.svelte';
  import Sure from '../../lib/parts/Sure.svelte';
  import { toast } from '../../lib/toasts.svelte';

  interface Props {
    jobId: string;
  }
  let { jobId }: Props = $props();
  let links = $state.raw<Schemas['LinkOut'][] | null>(null);
  let trouble = $state<Problem | null>(null);
  let busy = $state(false);
  const params = $derived({ path: { job_id: jobId } });
  const over = (link: Schemas['LinkOut']) => Date.parse(link.expires_at) < Date.now();
  const live = $derived(links?.find((link) => !link.withdrawn_at && !over(link)));
  const gone = $derived(links?.filter((link) => link !== live) ?? []);

  async function act(work: () => Promise<unknown>) {
    trouble = null;
    busy = true;
    try {
      await work();
      links = (await take(client.GET('/api/jobs/{job_id}/links', { params }))).links;
    } catch (error) {
      if (!(error instanceof Problem)) throw error;
      trouble = error;
    } finally {
      busy = false;
    }
  }
  onMount(() => act(async () => undefined));

  const make = () => act(() => take(client.POST('/api/jobs/{job_id}/links', { params })));
  const withdraw = (link: Schemas['LinkOut']) =>
    act(async () => {
      await take(client.DELETE('/api/links/{link_id}', { params: { path: { link_id: link.id } } }));
      toast(say('links-was-withdrawn'));
    });
  async function copy(link: Schemas['LinkOut']) {
    try {
      await navigator.clipboard.writeText(link.address);
      toast(say('links-copied'));
    } catch {
      toast(say('links-copy-by-hand'), { tone: 'wrong' });
    }
  }
</script>

<section>
  <h3>{say('links-title')}</h3>
  {#if trouble}<Notice tone="care" title={trouble.body.detail}>{trouble.body.remedy}</Notice>{/if}
  {#if live}
    <div class="live">
      <img src={live.drawing} alt={say('links-code', { address: live.address })} width="148" height="148" />
      <div>
        <p><a href={live.address} target="_blank" rel="noopener">{live.address}</a></p>
        <p class="quiet">
          {say('links-stand', { day: day(live.expires_at), views: live.views })}
          {#if !live.outside}{say('links-inside-only')}{/if}
        </p>
        <div class="row no-print">
          <Button onclick={() => live && copy(live)}>{say('links-copy')}</Button>
          <Sure
            words={say('links-withdraw')}
            sure={say('links-withdraw-sure')}
            keep={say('links-keep')}
            {busy}
            onsure={() => void (live && withdraw(live))}
          />
        </div>
      </div>
    </div>
  {:else if links}
    <p class="quiet lead">{say('links-none')}</p>
    <Button {busy} onclick={make}>{say('links-make')}</Button>
  {/if}
  {#if gone.length}
    <ul>
      {#each gone as link (link.id)}
        <li class="quiet">
          {say('links-gone', {
            made: day(link.made_at),
            withdrawn: !!link.withdrawn_at,
            day: day(link.withdrawn_at ?? link.expires_at),
            views: link.views,
          })}
        </li>
      {/each}
    </ul>
  {/if}
</section>

<style>
  section {
    margin: var(--gap-5) 0;
    padding-top: var(--gap-4);
    border-top: var(--line) solid var(--rule);
  }
  h3 {
    margin-bottom: var(--gap-3);
  }
  .live {
    display: flex;
    flex-wrap: wrap;
    gap: var(--gap-4);
    align-items: center;
  }
  .live > div {
    flex: 1 1 16rem;
    min-width: 0;
  }
  p {
    overflow-wrap: anywhere;
  }
  .lead {
    margin-bottom: var(--gap-3);
  }
  .row {
    display: flex;
    flex-wrap: wrap;
    gap: var(--gap-3);
    margin-top: var(--gap-3);
  }
  ul {
    margin-top: var(--gap-3);
  }
</style>
