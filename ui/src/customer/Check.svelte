<script lang="ts">
  // Anyone who holds a record's data file finds out whether it is untouched, by whose key, or which file was changed.
  import { say } from './words';
  import type { Schemas } from '../lib/api';
  import { day } from '../lib/format';
  import FileDrop from '../lib/parts/FileDrop.svelte';
  import Notice from '../lib/parts/Notice.svelte';
  import { ask, Refusal } from './ask';
  import { checkDataFile, NoDataFile, visible, type Checked } from './data-file';

  const MOST_MB = 1024;
  let name = $state('');
  let looking = $state(false);
  let wrong = $state('');
  let found = $state.raw<Checked | null>(null);
  let key = $state.raw<Schemas['KeyOut'] | 'offline' | null>(null);
  let turn = 0;
  const faults = $derived(Object.entries(found?.wrong ?? {}));
  const KEY_WORDS: Record<string, (told: { shop: string; day: string }) => string> = {
    signs: ({ shop }) => say('check-key-signs', { shop }),
    retired: ({ shop, day }) => say('check-key-retired', { shop, day }),
    withdrawn: ({ shop, day }) => say('check-key-withdrawn', { shop, day }),
  };
  /** By whose key it is signed: one that a shop here stands for, one that it has withdrawn, or one that nobody knows. */
  const standing = $derived(
    key && key !== 'offline' && key.state === 'withdrawn'
      ? 'withdrawn'
      : key && key !== 'offline' && key.state !== 'unknown'
        ? 'known'
        : 'unknown',
  );
  const HEADING = {
    known: { tone: 'note' as const, title: say('check-untouched') },
    unknown: { tone: 'care' as const, title: say('check-unknown-key') },
    withdrawn: { tone: 'halt' as const, title: say('check-withdrawn-key') },
  };
  const FAULT = {
    changed: (of: string) => say('check-was-changed', { name: visible(of) }),
    missing: (of: string) => say('check-was-missing', { name: visible(of) }),
    added: (of: string) => say('check-was-added', { name: visible(of) }),
  };

  async function look(file: File) {
    const mine = ++turn;
    [name, wrong, found, key, looking] = [file.name, '', null, null, true];
    try {
      if (file.size > MOST_MB * 2 ** 20)
        wrong = say('check-too-large', { name, most: MOST_MB, size: Math.round(file.size / 2 ** 20) });
      else {
        const checked = await checkDataFile(new Uint8Array(await file.arrayBuffer()));
        if (mine !== turn) return;
        found = checked;
        // A key that only lies beside it has signed nothing.
        if (checked.signed) key = await whose(checked.fingerprint);
      }
    } catch (error) {
      if (mine !== turn) return;
      wrong = error instanceof NoDataFile ? say('check-none', { name }) : say('check-old-browser');
    } finally {
      if (mine === turn) looking = false;
    }
  }

  async function whose(fingerprint: string): Promise<Schemas['KeyOut'] | 'offline'> {
    try {
      return await ask<Schemas['KeyOut']>(`/api/keys/${fingerprint}`);
    } catch (error) {
      if (!(error instanceof Refusal)) throw error;
      return 'offline';
    }
  }
</script>

<div class="check">
  <h1>{say('check-title')}</h1>
  <p class="quiet">{say('check-lead')}</p>
  <FileDrop label={say('check-file')} hint={say('check-hint')} accept=".zip,application/zip" onfile={look} />
  <div aria-live="polite">
    {#if looking && !found}
      <p class="quiet">{say('check-looking', { name })}</p>
    {:else if wrong}
      <Notice tone="care" title={wrong}>{say('check-none-remedy')}</Notice>
    {:else if found}
      {#if !found.signed}
        <Notice tone="halt" title={say('check-not-signed')}>{say('check-not-signed-words')}</Notice>
      {:else if faults.length}
        <Notice tone="halt" title={say('check-changed')}>
          {say('check-changed-words')}
          <ul>
            {#each faults as [of, fault] (of)}<li>{FAULT[fault](of)}</li>{/each}
          </ul>
        </Notice>
      {:else}
        <Notice tone={HEADING[standing].tone} title={HEADING[standing].title}>
          {say(standing === 'known' ? 'check-untouched-words' : 'check-as-signed-words', {
            number: found.manifest.number ?? '?',
            shop: visible(found.manifest.shop ?? '?'),
            day: day(found.manifest.signed_at ?? null),
          })}
          {#if found.manifest.record_version === null}<p>{say('check-draft')}</p>
          {:else if found.manifest.record_version}<p>
              {say('check-version', { version: found.manifest.record_version })}
            </p>{/if}
          {#if found.repacked}<p>{say('check-repacked')}</p>{/if}
        </Notice>
      {/if}
      {#if key === 'offline' || key?.state === 'unknown'}
        <p>{key === 'offline' ? say('check-key-offline') : say('check-key-unknown')}</p>
        <p class="print">{found.fingerprint}</p>
      {:else if key}
        <p>{KEY_WORDS[key.state]?.({ shop: key.shop ?? '', day: day(key.since) })}</p>
      {/if}
    {/if}
  </div>
</div>

<style>
  .check {
    display: grid;
    gap: var(--gap-4);
    max-width: 44rem;
    margin: 0 auto;
    padding: var(--gap-5) var(--gap-4);
  }
  ul {
    margin: var(--gap-2) 0 0;
  }
  p {
    margin: var(--gap-3) 0 0;
  }
  .print {
    overflow-wrap: anywhere;
    font-variant-numeric: tabular-nums;
  }
</style>
