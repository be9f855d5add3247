<script lang="ts">
  // What comes next while a stage of the bench is open, and what has to come before it.
  import type { BenchJob } from './bench.svelte';
  import { BENCH_STAGES, type BenchStage } from './types';
  import { offer } from '../keys.svelte';
  import Button from '../parts/Button.svelte';
  import FootBar from '../parts/FootBar.svelte';
  import { go } from '../router.svelte';
  import { STAGES } from '../words';
  import { say } from '$words/page-open.ftl';

  interface Props {
    at: BenchJob;
    stage: BenchStage;
    /** The last stage: what closes the bench work. */
    onclose?: () => void;
  }
  let { at, stage, onclose }: Props = $props();
  const bench = $derived(at.bench);
  const base = $derived(`/jobs/${at.jobId}` as const);
  const nameOf = (id: string) => STAGES.find((s) => s.id === id)?.name ?? id;
  const openIn = $derived((id: string) => (bench?.steps ?? []).filter((s) => s.stage === id && !s.outcome).length);
  const earlier = $derived(
    BENCH_STAGES.slice(0, BENCH_STAGES.indexOf(stage))
      .map((id) => ({ id, open: openIn(id) }))
      .filter((s) => s.open),
  );
  const left = $derived(openIn(stage));
  const missing = $derived([
    ...earlier.map((s) => ({
      text: say('stage-foot-first', { count: s.open, stage: nameOf(s.id) }),
      href: `${base}/${s.id}`,
    })),
    ...(onclose && !left && !earlier.length && !bench?.closed
      ? (bench?.blockers ?? []).slice(0, 2).map((b) => ({ text: b.text }))
      : []),
  ]);
  const after = $derived(BENCH_STAGES[BENCH_STAGES.indexOf(stage) + 1] ?? 'after');
  const next = $derived.by(() => {
    if (left || earlier.length) return { words: say('stage-steps-bench-mode'), run: () => go(`${base}/bench`) };
    if (onclose && !bench?.closed)
      return { words: say('count-and-close-close-bench-work'), run: onclose, off: !!bench?.blockers.length };
    return { words: say('stage-foot-go-on', { stage: nameOf(after) }), run: () => go(`${base}/${after}`) };
  });
  $effect(() => (next.off ? undefined : offer([{ key: 'Enter', words: next.words, run: next.run }])));
</script>

<FootBar {missing} note={left ? say('stage-foot-left', { count: left }) : say('stage-foot-all-told')}>
  <Button kind="main" key="Enter" disabled={next.off ?? false} onclick={next.run}>{next.words}</Button>
</FootBar>
