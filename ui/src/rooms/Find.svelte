<script lang="ts">
  import { say } from '../lib/say';
  import { client, take, type Job } from '../lib/api';
  import Dialog from '../lib/parts/Dialog.svelte';
  import TextField from '../lib/parts/TextField.svelte';
  import { go } from '../lib/router.svelte';

  interface Props {
    open: boolean;
  }
  let { open = $bindable() }: Props = $props();
  let text = $state('');
  let found = $state<Job[]>([]);
  let asked = 0;

  // Searches on the server while typing; only the latest answer counts.
  $effect(() => {
    if (!open) return;
    const find = text.trim();
    const mine = ++asked;
    const timer = setTimeout(async () => {
      const page = await take(client.GET('/api/jobs', { params: { query: { find, all: true, limit: 12 } } }));
      if (mine === asked) found = page.jobs;
    }, 120);
    return () => clearTimeout(timer);
  });

  function openJob(job: Job) {
    open = false;
    text = '';
    go(`/jobs/${job.id}`);
  }
</script>

<Dialog title={say('find-find-job')} bind:open>
  <form
    onsubmit={(e) => {
      e.preventDefault();
      if (found[0]) openJob(found[0]);
    }}
  >
    <TextField label={say('find-number-device-or-customer')} name="find" bind:value={text} focusFirst />
  </form>
  <ul>
    {#each found as job (job.id)}
      <li>
        <button type="button" onclick={() => openJob(job)}>
          <strong>{job.number}</strong>
          <span>{job.model}</span>
          <span class="quiet">{job.customer_name}</span>
        </button>
      </li>
    {:else}
      <li class="quiet">{say('find-no-job-fits', { text })}</li>
    {/each}
  </ul>
</Dialog>

<style>
  ul {
    margin: var(--gap-3) 0 0;
  }
  button {
    display: grid;
    grid-template-columns: 5rem 1fr 1fr;
    gap: var(--gap-3);
    align-items: center;
    width: 100%;
    min-height: var(--target);
    padding: 0 var(--gap-2);
    border: 0;
    border-bottom: 1px solid var(--rule);
    background: none;
    text-align: left;
    cursor: pointer;
  }
  button:hover {
    background: var(--owl-tint);
  }
</style>
