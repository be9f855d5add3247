<script lang="ts">
  // Foot switches of this tablet: which key each sends is learnt by pressing it once.
  import { say } from '$words/page-shop.ftl';
  import Button from '../../lib/parts/Button.svelte';
  import { learn, learnt, type Pedal } from '../../lib/pedals';

  let known = $state(learnt());
  let asking = $state<Pedal | null>(null);
  let wrong = $state('');
  const PEDALS: { id: Pedal; name: string; usual: string }[] = [
    { id: 'Enter', name: say('shop-pedal-on'), usual: say('shop-pedal-on-usual') },
    { id: 'Backspace', name: say('shop-pedal-back'), usual: say('shop-pedal-back-usual') },
  ];

  function pressed(event: KeyboardEvent) {
    if (!asking) return;
    event.preventDefault();
    event.stopImmediatePropagation();
    if (event.key === 'Escape') asking = null;
    else if (learn(asking, event.key)) {
      asking = null;
      wrong = '';
    } else wrong = say('shop-pedal-no-pedal', { key: event.key });
    known = learnt();
  }
  const named = (key: string) => (key === ' ' ? say('shop-pedal-space') : key);
</script>

<svelte:window onkeydowncapture={pressed} />
<h2>{say('shop-pedals')}</h2>
<p class="quiet">{say('shop-pedals-what')}</p>
<ul>
  {#each PEDALS as pedal (pedal.id)}
    <li>
      <strong>{pedal.name}</strong>
      <span aria-live="polite"
        >{asking === pedal.id
          ? say('shop-pedal-press')
          : known[pedal.id]
            ? named(known[pedal.id] ?? '')
            : pedal.usual}</span
      >
      <span class="do">
        <Button onclick={() => (asking = pedal.id)}>{say('shop-pedal-learn')}</Button>
        {#if known[pedal.id]}<Button
            onclick={() => {
              learn(pedal.id, null);
              known = learnt();
            }}>{say('shop-pedal-forget')}</Button
          >{/if}
      </span>
    </li>
  {/each}
</ul>
{#if wrong}<p role="alert">{wrong}</p>{/if}

<style>
  h2 {
    margin: var(--gap-5) 0 var(--gap-1);
  }
  ul {
    margin-top: var(--gap-3);
    border-top: 1px solid var(--rule);
  }
  li {
    display: grid;
    grid-template-columns: repeat(auto-fit, minmax(10rem, 1fr));
    gap: var(--gap-2) var(--gap-4);
    align-items: center;
    padding: var(--gap-2) 0;
    border-bottom: 1px solid var(--rule);
  }
  .do {
    display: flex;
    gap: var(--gap-2);
  }
</style>
