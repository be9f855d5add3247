<script lang="ts">
  import { say } from '$words/page-measure.ftl';
  import { client, take, type Run, type RunKey } from '../../lib/api';
  import { answers, type FieldList } from '../../lib/fields';
  import { clock } from '../../lib/format';
  import { liveForm } from '../../lib/live-form.svelte';
  import BothSides from '../../lib/parts/BothSides.svelte';
  import Button from '../../lib/parts/Button.svelte';
  import Fields from '../../lib/parts/Fields.svelte';
  import SaveStand from '../../lib/parts/SaveStand.svelte';
  import Trouble from '../../lib/parts/Trouble.svelte';
  import { untrack } from 'svelte';

  interface Props {
    jobId: string;
    run: Run;
    side: RunKey;
    onrun: (run: Run) => Promise<void>;
    onreload: () => Promise<void>;
    /** Enter in a field, once all that the next step needs is there. */
    onward?: (() => void) | undefined;
  }
  let { jobId, run, side, onrun, onreload, onward }: Props = $props();

  const ROOM = [
    { key: 'room_c', kind: 'number', label: say('conditions-form-room'), unit: '°C' },
    { key: 'duration_min', kind: 'number', label: say('conditions-form-duration'), unit: 'min' },
  ] as const satisfies FieldList;
  const HOW = [
    {
      key: 'load_recipe',
      label: say('conditions-form-load'),
      wide: true,
      suggest: 'load_recipe',
      hint: say('conditions-form-program-scene-or-benchmark'),
    },
    { key: 'fan_setting', label: say('conditions-form-fan-setting'), suggest: 'fan_setting' },
    { key: 'power_profile', label: say('conditions-form-power-profile'), suggest: 'power_profile' },
    {
      key: 'placement',
      label: say('conditions-form-placement'),
      wide: true,
      suggest: 'placement',
      hint: say('conditions-form-stand-lap-dock-lid'),
    },
    {
      key: 'start',
      kind: 'choice',
      label: say('conditions-form-start'),
      wide: true,
      options: [{ value: '', label: say('field-not-known') }, ...answers('conditions-form', ['cold', 'warm'])],
    },
    { key: 'firmware', label: say('conditions-form-firmware') },
    { key: 'tuning', label: say('conditions-form-tuning'), hint: say('conditions-form-undervolt-cap-driver') },
    {
      key: 'fan_blades',
      kind: 'whole',
      label: say('conditions-form-fan-blades'),
      hint: say('conditions-form-one-fan-gives-its'),
    },
  ] as const satisfies FieldList;
  // What the load itself said of the run.
  const RESULT = [
    { key: 'result_score', kind: 'number', label: say('conditions-form-score'), unit: 'points' },
    { key: 'result_duration_s', kind: 'duration', label: say('conditions-form-took'), unit: 'm:ss' },
    { key: 'result_frame_rate', kind: 'number', label: say('conditions-form-frame-rate'), unit: '1/s' },
  ] as const satisfies FieldList;

  const live = liveForm([...ROOM, ...HOW, ...RESULT] as const, () => run, {
    key: `run:${untrack(() => `${jobId}:${side}`)}`,
    reload: () => onreload(),
    saves: () => true,
    send: async (given) => {
      const params = { path: { job_id: jobId, side } };
      const body = { ...given, version: run.version };
      const next = await take(client.PUT('/api/jobs/{job_id}/runs/{side}', { params, body }));
      await onrun(next);
      return next;
    },
  });

  function put(place: string) {
    live.fields.placement = place;
    void live.saver.flush();
  }

  async function enter() {
    await live.saver.flush();
    if (live.saver.stand === 'saved' && run.trace && run.room_c !== null) onward?.();
  }
</script>

<form
  class="lay-stack"
  onsubmit={(e) => {
    e.preventDefault();
    void enter();
  }}
  onchange={() => void live.saver.flush()}
>
  <!-- Without it Enter in one of several fields sends nothing. -->
  <button hidden>{say('foot-bar-next-step')}</button>
  <BothSides form={live} />
  <div class="lay-form">
    <Fields list={run.trace ? ROOM.slice(0, 1) : ROOM} bind:form={live.fields} errors={live.errors} />
    {#if run.trace}
      <div class="told">
        <span>{say('conditions-form-duration')}</span>
        <p>{say('conditions-form-duration-of-the-log', { time: clock(run.trace.duration_s) })}</p>
      </div>
    {/if}
    <Fields list={HOW} bind:form={live.fields} errors={live.errors}>
      {#snippet behind(key)}
        {#if key === 'placement' && !live.fields.placement && run.places_offered.length}
          <div class="lay-row lay-wide" role="group" aria-label={say('conditions-form-places-offered')}>
            {#each run.places_offered as place (place)}
              <Button onclick={() => put(place)}>{place}</Button>
            {/each}
          </div>
        {/if}
      {/snippet}
    </Fields>
    <h3 class="lay-wide">{say('conditions-form-what-scored')}</h3>
    <Fields list={RESULT} bind:form={live.fields} errors={live.errors} />
  </div>
  {#if !Object.keys(live.errors).length}<Trouble of={live} />{/if}
  <SaveStand stand={live.saver.stand} />
</form>

<style>
  form {
    gap: var(--gap-4);
    align-content: start;
  }
  .told span {
    font-weight: 620;
  }
  .told p {
    line-height: var(--target);
  }
</style>
