<script lang="ts">
  import { say } from '$words/page-runs.ftl';
  // What somebody did to the device between runs makes its next state.
  import { action } from '../../lib/asking.svelte';
  import { client, take, type Schemas } from '../../lib/api';
  import { parseNumber } from '../../lib/format';
  import Button from '../../lib/parts/Button.svelte';
  import Pick from '../../lib/parts/Pick.svelte';
  import TextField from '../../lib/parts/TextField.svelte';
  import Trouble from '../../lib/parts/Trouble.svelte';
  import { toast } from '../../lib/toasts.svelte';
  import { CAUSES, INTERFACES } from '../../lib/words';

  interface Props {
    jobId: string;
    found: Schemas['AllRunsOut'];
    onstate: (found: Schemas['AllRunsOut']) => void;
  }
  let { jobId, found, onstate }: Props = $props();
  type Cause = Schemas['StateIn']['cause'];
  const OFFERED: Cause[] = ['firmware', 'tuned', 'cycled', 'attempt', 'reopened', 'told'];
  let cause = $state<string>('firmware');
  let firmware = $state('');
  let tuning = $state('');
  let cycles = $state('');
  let words = $state('');
  let material = $state('');
  let product = $state('');

  const begin = action(async () => {
    const heat_cycles = parseNumber(cycles);
    const body = {
      cause: cause as Cause,
      words,
      cover: '',
      firmware: cause === 'firmware' ? firmware : '',
      tuning: cause === 'tuned' ? tuning : '',
      material: cause === 'attempt' && material ? (material as NonNullable<Schemas['StateIn']['material']>) : null,
      product: cause === 'attempt' ? product : '',
      heat_cycles: cause === 'cycled' && !Number.isNaN(heat_cycles) ? heat_cycles : null,
    };
    const next = await take(client.POST('/api/jobs/{job_id}/states', { params: { path: { job_id: jobId } }, body }));
    toast(say('run-list-state-begun', { position: next.states.length }));
    firmware = tuning = cycles = words = material = product = '';
    onstate(next);
  });
  const latest = $derived(found.states.at(-1));
</script>

<section>
  <h2>{say('run-list-next-state')}</h2>
  <p class="quiet">{say('run-list-next-state-words')}</p>
  <form
    class="lay-stack"
    onsubmit={(e) => {
      e.preventDefault();
      void begin.run();
    }}
  >
    <Pick
      label={say('run-list-what-changed')}
      name="cause"
      bind:value={cause}
      options={OFFERED.map((c) => ({ value: c, label: CAUSES[c] ?? c }))}
    />
    {#if cause === 'firmware'}<TextField
        label={say('run-list-firmware')}
        name="firmware"
        bind:value={firmware}
        hint={latest?.firmware ?? ''}
      />
    {:else if cause === 'tuned'}<TextField label={say('run-list-tuning')} name="tuning" bind:value={tuning} />
    {:else if cause === 'cycled'}<TextField label={say('run-list-cycles')} name="cycles" numeric bind:value={cycles} />
    {/if}
    {#if cause === 'attempt'}
      <Pick
        label={say('run-list-material')}
        name="material"
        bind:value={material}
        options={[
          { value: '', label: say('run-list-material-same') },
          ...Object.entries(INTERFACES).map(([value, label]) => ({ value, label })),
        ]}
      />
      {#if material}<TextField label={say('run-list-product')} name="product" bind:value={product} />{/if}
    {/if}
    <TextField label={say('run-list-words')} name="words" bind:value={words} />
    <Trouble of={begin} />
    <div><Button type="submit">{say('run-list-add-state')}</Button></div>
  </form>
</section>

<style>
  h2 {
    margin: 0;
    font-size: var(--size-3);
  }
  form {
    margin-top: var(--gap-3);
  }
</style>
