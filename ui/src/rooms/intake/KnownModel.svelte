<script lang="ts">
  import { say } from '$words/page-intake.ftl';
  // A model that the shop keeps: its maker and kind are filled in, and its map is promised.
  import { client, take, type Schemas } from '../../lib/api';
  import { plural } from '../../lib/format';
  import { KINDS } from '../../lib/words';
  import type { IntakeForm } from './intake-form';

  import Button from '../../lib/parts/Button.svelte';

  interface Props {
    form: IntakeForm;
    /** A device that comes in: what is known of its model is filled in once. Of one that is here it is offered. */
    fresh: boolean;
  }
  let { form = $bindable(), fresh }: Props = $props();
  let kept = $state.raw<Schemas['ModelOut'][] | null>(null);
  const same = (a: string, b: string) => a.trim().toLowerCase() === b.trim().toLowerCase();
  const fits = $derived(
    (kept ?? []).filter((m) => same(m.model, form.model) && (!form.maker.trim() || same(m.maker, form.maker))),
  );
  const one = $derived(fits.length === 1 ? fits[0] : undefined);

  // Asked for once somebody types a model; without an answer nothing is filled in.
  $effect(() => {
    if (!form.model.trim() || kept) return;
    kept = [];
    void take(client.GET('/api/models'))
      .then((found) => (kept = found.models))
      .catch(() => undefined);
  });

  const differs = $derived(one && (form.maker !== one.maker || form.kind !== one.kind));
  const fill = () => one && Object.assign(form, { maker: one.maker, kind: one.kind });
  // Once a model: a maker that a hand takes away again stays away.
  let filled = '';
  $effect(() => {
    if (!fresh || !one || filled === one.model || form.maker.trim()) return;
    filled = one.model;
    fill();
  });
</script>

<!-- Its line is there before its words, so that nothing moves under a finger. -->
<p class="quiet" role="status">
  {one ? say('known-model-kept', { model: one.model, places: plural(one.places.length, 'place') }) : ''}
  {#if one && differs && !form.maker.trim()}
    <Button kind="bare" onclick={fill}
      >{say('known-model-fill', { maker: one.maker, kind: KINDS[one.kind] ?? '' })}</Button
    >
  {/if}
</p>

<style>
  p {
    grid-column: 1 / -1;
    min-height: 1.4em;
    margin: calc(-1 * var(--gap-2)) 0 calc(-1 * var(--gap-3));
  }
</style>
