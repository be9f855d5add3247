<script lang="ts">
  // How this device shows the application; kept on it.
  import { say } from '$words/page-shop.ftl';
  import Button from '../../lib/parts/Button.svelte';
  import CardMatch from '../../lib/parts/CardMatch.svelte';
  import Choice from '../../lib/parts/Choice.svelte';
  import { choose, theme, type Theme } from '../../lib/theme.svelte';

  let matching = $state(false);
  const THEMES: { value: Theme; label: string }[] = [
    { value: 'system', label: say('shop-theme-system') },
    { value: 'day', label: say('shop-theme-day') },
    { value: 'night', label: say('shop-theme-night') },
  ];
</script>

<h2>{say('shop-looks')}</h2>
<Choice legend={say('shop-theme')} name="theme" options={THEMES} bind:value={() => theme.chosen, choose} />
<h3>{say('shop-true-size')}</h3>
<p class="quiet">{say('shop-true-size-what')}</p>
<Button onclick={() => (matching = true)}>{say('shop-true-size-match')}</Button>
<CardMatch bind:open={matching} />

<style>
  h2,
  h3 {
    margin: var(--gap-4) 0 var(--gap-2);
  }
</style>
