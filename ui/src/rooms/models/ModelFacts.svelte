<script lang="ts">
  import { say } from '$words/page-models.ftl';
  // What is known of a model beside its map: dies, how hot, gaps, and what was found at the bench.
  import type { Schemas } from '../../lib/api';
  import { fixed, plural } from '../../lib/format';
  import { TARGETS } from '../../lib/words';

  interface Props {
    model: Schemas['ModelOut'];
  }
  let { model }: Props = $props();
  const facts = $derived.by(() => {
    const die = (w: number | null, l: number | null) =>
      w === null || l === null ? say('model-page-not-measured') : `${w} × ${l} mm`;
    const rise = (v: number | null) =>
      v === null ? say('model-page-not-known') : say('model-page-k-over-room', { v: fixed(v, 0) });
    return [
      [say('model-page-processor-die'), die(model.cpu_die_width_mm, model.cpu_die_length_mm)],
      [say('model-page-graphics-die'), die(model.gpu_die_width_mm, model.gpu_die_length_mm)],
      [say('model-page-before-service-typically'), rise(model.before_rise_k)],
      [say('model-page-after'), rise(model.after_rise_k)],
      [
        say('model-page-healthy-one-die-to'),
        model.total_k_per_w === null
          ? say('model-page-not-known')
          : say('model-page-k-w-interface-k', {
              total_k_per_w: fixed(model.total_k_per_w, 2),
              interface_k_per_w: model.interface_k_per_w === null ? null : fixed(model.interface_k_per_w, 2),
              reference: model.reference.replaceAll('_', ' '),
            }),
      ],
    ];
  });
</script>

<dl>
  {#each facts as [name, value] (name)}<div>
      <dt>{name}</dt>
      <dd>{value}</dd>
    </div>{/each}
</dl>
<h2>{say('model-page-gaps')}</h2>
{#if model.gaps.length}
  <ul class="plain">
    {#each model.gaps as gap, i (i)}
      <li>
        {say('model-page-mm-mm', {
          target: TARGETS[gap.target] ?? gap.target,
          reading_mm: fixed(gap.reading_mm, 2),
          count: gap.count,
          width_mm: fixed(gap.width_mm, 0),
          length_mm: fixed(gap.length_mm, 0),
        })}
      </li>
    {/each}
  </ul>
{:else}<p class="quiet">{say('model-page-none-measured-yet')}</p>{/if}
<h2>{say('model-page-found-at-bench')}</h2>
{#if model.found.length}
  <ul class="plain">
    {#each model.found as one (`${one.part}-${one.seen}`)}
      <li>
        {say('model-page-figures', {
          part: one.part,
          to_lower_case: one.seen.toLowerCase(),
          times: one.times,
          learnt_jobs: plural(model.learnt_jobs, 'job'),
        })}
      </li>
    {/each}
  </ul>
{:else}<p class="quiet">{say('model-page-nothing-out-order-was')}</p>{/if}

<style>
  dl {
    margin: 0;
    border-top: 2px solid var(--ink);
  }
  dl div {
    display: grid;
    grid-template-columns: 1fr 1.2fr;
    gap: var(--gap-3);
    padding: var(--gap-2) 0;
    border-bottom: 1px solid var(--rule);
  }
  dd {
    margin: 0;
    font-weight: 620;
  }
  h2 {
    margin: var(--gap-5) 0 var(--gap-2);
    font-size: var(--size-2);
  }
  .plain {
    padding-left: 1.2rem;
    list-style: disc;
  }
</style>
