<script lang="ts">
  // Links by which the customer opens the record on a phone: to show, to copy, to withdraw.
  import { say } from '$words/page-links.ftl';
  import { action, resource } from '../../lib/asking.svelte';
  import { client, take, type Schemas } from '../../lib/api';
  import { day } from '../../lib/format';
  import Button from '../../lib/parts/Button.svelte';
  import Sure from '../../lib/parts/Sure.svelte';
  import Trouble from '../../lib/parts/Trouble.svelte';
  import { toast } from '../../lib/toasts.svelte';

  interface Props {
    jobId: string;
  }
  let { jobId }: Props = $props();
  const params = $derived({ path: { job_id: jobId } });
  const listed = resource(
    () => jobId,
    async (job_id) => (await take(client.GET('/api/jobs/{job_id}/links', { params: { path: { job_id } } }))).links,
  );
  const links = $derived(listed.value);
  const over = (link: Schemas['LinkOut']) => Date.parse(link.expires_at) < Date.now();
  const live = $derived(links?.find((link) => !link.withdrawn_at && !over(link)));
  const gone = $derived(links?.filter((link) => link !== live) ?? []);

  const make = action(async () => {
    await take(client.POST('/api/jobs/{job_id}/links', { params }));
    await listed.load();
  });
  const withdraw = action(async (link: Schemas['LinkOut']) => {
    await take(client.DELETE('/api/links/{link_id}', { params: { path: { link_id: link.id } } }));
    toast(say('links-was-withdrawn'));
    await listed.load();
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
  <Trouble of={[listed, make, withdraw]} />
  {#if live}
    <div class="live lay-row">
      <img src={live.drawing} alt={say('links-code', { address: live.address })} width="148" height="148" />
      <div>
        <p><a href={live.address} target="_blank" rel="noopener">{live.address}</a></p>
        <p class="quiet">
          {say('links-stand', { day: day(live.expires_at), views: live.views })}
          {#if !live.outside}{say('links-inside-only')}{/if}
        </p>
        <div class="row no-print lay-row">
          <Button onclick={() => live && copy(live)}>{say('links-copy')}</Button>
          <Sure
            words={say('links-withdraw')}
            sure={say('links-withdraw-sure')}
            keep={say('links-keep')}
            busy={withdraw.busy}
            onsure={() => void (live && withdraw.run(live))}
          />
        </div>
      </div>
    </div>
  {:else if links}
    <p class="quiet lead">{say('links-none')}</p>
    <Button busy={make.busy} onclick={() => void make.run()}>{say('links-make')}</Button>
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
    margin-top: var(--gap-3);
  }
  ul {
    margin-top: var(--gap-3);
  }
</style>
