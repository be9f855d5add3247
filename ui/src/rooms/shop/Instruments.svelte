<script lang="ts">
  import { say } from '$words/page-shop.ftl';
  import { untrack } from 'svelte';
  import type { Schemas } from '../../lib/api';
  import { formOf, type FieldList } from '../../lib/fields';
  import Button from '../../lib/parts/Button.svelte';
  import Fields from '../../lib/parts/Fields.svelte';
  import FilledForm from '../../lib/parts/FilledForm.svelte';
  import { SentForm } from '../../lib/sent-form.svelte';

  interface Props {
    shop: Schemas['ShopOut'];
    owner: boolean;
    save: (given: Partial<Schemas['ShopIn']>) => Promise<void>;
  }
  let { shop, owner, save }: Props = $props();
  const needed = say('shop-type-number');
  const usual = $derived(shop.usual);

  const ROOM = {
    key: 'reference_room_c',
    kind: 'number',
    label: say('shop-reference-room'),
    unit: '°C',
    hint: say('shop-watts-device-can-hold'),
    needed: say('shop-type-temperature-in-c'),
  } as const;
  // How far a figure may be off, each with where it comes from.
  const TOLERANCES = [
    {
      key: 'run_to_run_k',
      kind: 'number',
      label: say('tolerances-run-to-run'),
      unit: 'K',
      hint: say('tolerances-same-device-tested-twice'),
      needed,
    },
    {
      key: 'room_k',
      kind: 'number',
      label: say('tolerances-room-thermometer'),
      unit: 'K',
      hint: say('tolerances-at-bench'),
      needed,
    },
    {
      key: 'die_sensor_k',
      kind: 'number',
      label: say('tolerances-die-sensor'),
      unit: 'K',
      hint: say('tolerances-repeatability-sensor-on-chip'),
      needed,
    },
    {
      key: 'power_share',
      kind: 'share',
      label: say('tolerances-power-sensor'),
      unit: '%',
      hint: say('tolerances-what-device-says-its'),
      needed,
    },
    {
      key: 'clock_share',
      kind: 'share',
      label: say('tolerances-clock'),
      unit: '%',
      hint: say('tolerances-mean-clock-run'),
      needed,
    },
    {
      key: 'noise_db',
      kind: 'number',
      label: say('tolerances-sound-meter'),
      unit: 'dB',
      hint: say('tolerances-same-fan-read-twice'),
      needed,
    },
    {
      key: 'noise_room_db_per_k',
      kind: 'number',
      label: say('tolerances-noise-in-another-room'),
      unit: 'dB/K',
      hint: say('tolerances-what-fan-that-follows'),
      needed,
    },
    {
      key: 'result_share',
      kind: 'share',
      label: say('tolerances-benchmark-result'),
      unit: '%',
      hint: say('tolerances-two-runs-one-benchmark'),
      needed,
    },
  ] as const satisfies FieldList;

  const form = new SentForm(
    [ROOM, ...TOLERANCES] as const,
    ({ reference_room_c, ...tolerances }) => save({ reference_room_c, tolerances }),
    {
      like: untrack(() => ({ ...shop, ...shop.tolerances })),
      shown: () => {
        const written = formOf(TOLERANCES, usual);
        return [
          ROOM,
          ...TOLERANCES.map((t) => ({
            ...t,
            hint: say('shop-usual', { hint: t.hint, t: written[t.key], unit: t.unit }),
          })),
        ];
      },
    },
  );
</script>

<h2>{say('shop-how-sure-your-instruments')}</h2>
<p class="lead">{say('shop-every-figure-carries-its')}</p>
{#if shop.own_scatter}
  {@const own = shop.own_scatter}
  <div class="own lay-head">
    <p>
      {say('shop-own-scatter', {
        runs: own.runs,
        logs: own.logs,
        half_width: own.half_width_k,
        shown: own.shown_k,
        usual: own.shown_usual_k,
      })}
    </p>
    {#if owner}<Button onclick={() => (form.fields.run_to_run_k = own.half_width_k.toFixed(1))}
        >{say('shop-own-scatter-take', { half_width: own.half_width_k })}</Button
      >{/if}
  </div>
{/if}
<div class="fields">
  {#if owner}
    <FilledForm {form} kind="main" action={say('shop-save')}>
      <Button onclick={() => Object.assign(form.fields, formOf(TOLERANCES, usual))}
        >{say('shop-fill-in-usual-tolerances')}</Button
      >
    </FilledForm>
  {:else}
    <div class="lay-form"><Fields list={form.shown} bind:form={form.fields} /></div>
  {/if}
</div>

<style>
  h2 {
    margin-top: var(--gap-4);
  }
  .lead {
    max-width: 46rem;
    margin: var(--gap-2) 0 var(--gap-5);
  }
  .own {
    gap: var(--gap-3) var(--gap-4);
    margin-bottom: var(--gap-4);
  }
  .own p {
    max-width: 40rem;
  }
  .fields {
    --field: 18rem;
  }
</style>
