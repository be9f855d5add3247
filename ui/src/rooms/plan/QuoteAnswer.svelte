<script lang="ts">
  // What the customer answered to the quote, and whether that is what was chosen.
  import { say } from '$words/page-plan.ftl';
  import type { Plan } from '../../lib/api';
  import { day, money } from '../../lib/format';
  import Button from '../../lib/parts/Button.svelte';
  import Notice from '../../lib/parts/Notice.svelte';

  interface Props {
    plan: Plan;
    answer: NonNullable<Plan['answer']>;
    /** The option that one looks at. */
    shown: string;
    onshow: (key: string) => void;
  }
  let { plan, answer, shown, onshow }: Props = $props();
  const offered = $derived(plan.options.find((option) => option.key === answer.key));
  // To do other than was accepted, or anything of what was declined, is not agreed.
  const other = $derived(!!plan.chosen && plan.chosen.key !== answer.key);
  const title = $derived(
    answer.key
      ? say('quote-answer-accepted', {
          title: answer.title,
          priced: answer.price_cents !== null,
          price: money(answer.price_cents, plan.currency),
          day: day(answer.at),
        })
      : say('quote-answer-declined', { number: answer.number, day: day(answer.at) }),
  );
</script>

<Notice tone={other || !answer.key ? 'care' : 'note'} {title}>
  {#if answer.words}<p>{say('quote-answer-words', { words: answer.words })}</p>{/if}
  {#if other}<p>{say('quote-answer-other')}</p>{/if}
  {#if answer.key && !offered}<p>{say('quote-answer-gone')}</p>{/if}
  {#snippet actions()}
    {#if offered && shown !== answer.key}
      <Button onclick={() => onshow(answer.key)}>{say('quote-answer-show')}</Button>
    {/if}
  {/snippet}
</Notice>

<style>
  p {
    margin: 0;
  }
</style>
