<script lang="ts">
  // What is asked before a step goes on: a rule, a reason, a mishap, a clock.
  import { benchWords } from '../../lib/bench/bench.svelte';
  import { remaining } from '../../lib/bench/clock';
  import { waits } from '../../lib/bench/waits.svelte';
  import type { Hands } from './hands.svelte';
  import MishapPanel from './MishapPanel.svelte';
  import ReasonPanel from '../../lib/bench/ReasonPanel.svelte';
  import RulePanel from './RulePanel.svelte';
  import WaitPanel from '../../lib/bench/WaitPanel.svelte';
  import { say } from '$words/page-bench-mode.ftl';

  interface Props {
    hands: Hands;
  }
  let { hands }: Props = $props();
</script>

{#if hands.panel?.kind === 'rule'}
  {@const rule = hands.panel}
  <RulePanel
    guard={rule.guard}
    first={rule.first ? hands.steps.findIndex((s) => s.id === rule.first?.id) + 1 : null}
    onfirst={() => hands.input('press')}
    onhappened={() => hands.input('happened')}
  />
{:else if hands.panel?.kind === 'told'}
  {@const told = hands.panel}
  <ReasonPanel
    tone="halt"
    title={say('bench-mode-what-happened')}
    text={say('bench-mode-goes-into-record-as', { reason: told.guard.reason })}
    ready={[say('bench-mode-i-saw-too-late'), say('bench-mode-plug-was-hidden-under'), say('bench-mode-slipped')]}
    verb={say('bench-mode-record')}
    onsay={(words) => {
      told.send(words);
      hands.panel = null;
    }}
    oncancel={() => (hands.panel = null)}
  />
{:else if hands.panel?.kind === 'skip'}
  <ReasonPanel
    title={say('bench-mode-why-this-step-skipped')}
    ready={[
      say('bench-mode-this-model-has-no'),
      say('bench-mode-done-already-before-list'),
      say('bench-mode-not-needed-today'),
      say('bench-mode-owner-does-not-want'),
    ]}
    verb={say('bench-mode-skip')}
    onsay={(reason) => hands.skip(reason)}
    oncancel={() => (hands.panel = null)}
  />
{:else if hands.panel?.kind === 'early'}
  {@const early = hands.panel}
  <ReasonPanel
    tone="care"
    title={say('bench-mode-end-early', { words: early.wait.words })}
    text={say('bench-mode-left', { now: remaining(new Date(early.wait.due).getTime() - waits.now) })}
    ready={[
      ...(benchWords.table?.waits.find((kind) => kind.name === early.wait.wait)?.early ?? []),
      say('bench-mode-started-late-was-lying'),
    ]}
    verb={say('bench-mode-end')}
    onsay={(reason) => {
      hands.at.do('wait_ended', { wait: early.wait.id, reason });
      hands.panel = null;
    }}
    oncancel={() => (hands.panel = null)}
  />
{:else if hands.panel?.kind === 'wait'}
  <WaitPanel at={hands.at} step={hands.step?.id ?? ''} onclose={() => (hands.panel = null)} />
{:else if hands.panel?.kind === 'mishap'}
  <MishapPanel at={hands.at} step={hands.step?.id ?? ''} onclose={() => (hands.panel = null)} />
{/if}
