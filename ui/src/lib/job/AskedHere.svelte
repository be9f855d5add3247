<script lang="ts" generics="L extends FieldList">
  // Questions that fold, and their line says what is answered or that they are still open.
  import { untrack } from 'svelte';
  import { say } from '$words/page-job.ftl';
  import type { Job } from '../api';
  import type { FieldList } from '../fields';
  import Working from '../parts/Working.svelte';
  import { apart } from './job-fields';
  import JobFields from './JobFields.svelte';

  interface Props {
    job: Job;
    list: L;
    title: string;
    onchange: () => Promise<void>;
    /** Unfolded while nothing of it is answered. */
    eager?: boolean;
  }
  let { job, list, title, onchange, eager = false }: Props = $props();

  const answers = $derived(
    list.flatMap((field) => {
      const value = (apart(job) as Record<string, unknown>)[field.key];
      if (value === null || value === '' || value === 'unknown') return [];
      if ('options' in field) return field.options.find((option) => option.value === value)?.label ?? [];
      return 'unit' in field && field.unit ? `${String(value)} ${field.unit}` : String(value);
    }),
  );
  let open = $state(untrack(() => eager && !answers.length));
</script>

<Working summary={title} stand={answers.join(' · ') || say('intake-open')} bind:open>
  <JobFields {job} {list} {onchange} />
</Working>
