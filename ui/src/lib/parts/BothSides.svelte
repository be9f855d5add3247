<script lang="ts" generics="T extends object">
  // What was changed on two screens: what stands here, what came from there, and a way to take either.
  import { say } from '../say';
  import type { LiveForm } from '../live-form.svelte';
  import Button from './Button.svelte';
  import Notice from './Notice.svelte';

  interface Props {
    form: LiveForm<T>;
    /** Names of fields that are not called as their keys. */
    names?: Partial<Record<string, string>>;
  }
  let { form, names = {} }: Props = $props();

  const inputs = (key: string) => {
    const name = names[key] ?? key;
    return [...document.querySelectorAll<HTMLInputElement>(`[name="${name}"], [name^="${name}-"]`)];
  };
  /** A field is called by the words that stand at it. */
  const nameOf = (key: string): string => {
    const [field] = inputs(key);
    const words = field?.type === 'radio' ? field.closest('fieldset')?.querySelector('legend') : field?.labels?.[0];
    return words?.textContent?.trim() || say('both-sides-field');
  };
  const wordsOf = (key: string, value: unknown): string => {
    const chosen = inputs(key).find((input) => input.type === 'radio' && input.value === value);
    return chosen?.labels?.[0]?.textContent?.trim() || (value === '' ? say('both-sides-empty') : String(value));
  };
</script>

{#if form.clashes.length}
  <Notice tone="care" title={say('both-sides-title')}>
    <ul class="lay-stack">
      {#each form.clashes as clash (clash.key)}
        <li>
          <span
            >{say('both-sides-line', {
              name: nameOf(clash.key),
              mine: wordsOf(clash.key, clash.mine),
              theirs: wordsOf(clash.key, clash.theirs),
            })}</span
          >
          <Button onclick={() => form.settle(clash.key, false)}>{say('both-sides-keep')}</Button>
          <Button onclick={() => form.settle(clash.key, true)}>{say('both-sides-take')}</Button>
        </li>
      {/each}
    </ul>
  </Notice>
{/if}

<style>
  ul {
    gap: var(--gap-2);
    margin: 0;
    padding: 0;
    list-style: none;
  }
  li {
    display: flex;
    flex-wrap: wrap;
    align-items: center;
    gap: var(--gap-2) var(--gap-3);
  }
</style>
