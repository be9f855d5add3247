<script lang="ts">
  import { say } from '../job/words';
  // A model that the shop keeps: its maker and kind are filled in, and its map is promised.
  import { client, take, type Schemas } from '../../lib/api';
  import { plural } from '../../lib/format';
  import type { IntakeForm } from './intake-form';

  interface Props {
    form: IntakeForm;
  }
  let { form = $bindable() }: Props = $props();
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

  // Only what is still empty is filled in: a maker that was typed counts.
  $effect(() => {
    if (!one || form.maker.trim()) return;
    form = { ...form, maker: one.maker, kind: one.kind as IntakeForm['kind'] };
  });
</script>

<!-- Its line is there before its words, so that nothing moves under a finger. -->
<p class="quiet" role="status">
  {one ? say('known-model-kept', { model: one.model, places: plural(one.places.length, 'place') }) : ''}
</p>

<style>
  p {
    grid-column: 1 / -1;
    min-height: 1.4em;
    margin: calc(-1 * var(--gap-3)) 0;
  }
</style>
