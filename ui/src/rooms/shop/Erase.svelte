<script lang="ts">
  // To forget who a customer was: what goes, what stays, and the name typed once more.
  import Button from '../../lib/parts/Button.svelte';
  import Dialog from '../../lib/parts/Dialog.svelte';
  import TextField from '../../lib/parts/TextField.svelte';
  import { say } from '$words/page-data.ftl';

  interface Props {
    name: string;
    /** Numbers of the jobs that are still here. */
    open: number[];
    busy: boolean;
    onerase: (name: string) => void;
  }
  let { name, open, busy, onerase }: Props = $props();
  let asked = $state(false);
  let typed = $state('');
</script>

<section class="lay-stack">
  <h3>{say('customers-erase')}</h3>
  {#if open.length}
    <p>{say('customers-erase-open', { count: open.length, numbers: open.join(', ') })}</p>
  {:else}
    <Button
      onclick={() => {
        typed = '';
        asked = true;
      }}>{say('customers-erase')}</Button
    >
  {/if}
</section>
<Dialog title={say('customers-erase-title', { name })} bind:open={asked}>
  <p>{say('customers-erase-goes')}</p>
  <p>{say('customers-erase-stays')}</p>
  <p>{say('customers-erase-backups')}</p>
  <TextField label={say('customers-erase-name')} name="name" hint={name} bind:value={typed} />
  <div class="row">
    <Button
      kind="main"
      {busy}
      disabled={typed.trim() !== name}
      onclick={() => {
        asked = false;
        onerase(typed.trim());
      }}>{say('customers-erase-do')}</Button
    >
    <Button onclick={() => (asked = false)}>{say('customers-erase-keep')}</Button>
  </div>
</Dialog>

<style>
  section {
    justify-items: start;
    margin-top: var(--gap-5);
    padding-top: var(--gap-4);
    border-top: var(--line) solid var(--rule);
  }
  p {
    max-width: 44rem;
    margin-bottom: var(--gap-3);
  }
  .row {
    display: flex;
    gap: var(--gap-3);
    margin-top: var(--gap-4);
  }
</style>
