<script lang="ts">
  // A page of the handbook, over the page. It comes when it is asked for: few who look at a stage ask why.
  import { say } from '../say';
  import Dialog from './Dialog.svelte';
  import HandbookText from './HandbookText.svelte';

  interface Props {
    subject: string;
    title: string;
    open: boolean;
  }
  let { subject, title, open = $bindable() }: Props = $props();
</script>

<Dialog {title} bind:open>
  <HandbookText {subject} />
  <p><a href="/handbook/{subject}" onclick={() => (open = false)}>{say('why-all-rules')}</a></p>
</Dialog>
