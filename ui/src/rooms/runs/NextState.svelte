<script lang="ts">
  import { say } from '$words/page-runs.ftl';
  // What somebody did to the device between runs makes its next state.
  import { client, take, type Schemas } from '../../lib/api';
  import { answers, type FieldList } from '../../lib/fields';
  import FilledForm from '../../lib/parts/FilledForm.svelte';
  import { SentForm } from '../../lib/sent-form.svelte';
  import { toast } from '../../lib/toasts.svelte';
  import { KIND_NAMES } from '../../lib/words';

  interface Props {
    jobId: string;
    found: Schemas['AllRunsOut'];
    onstate: (found: Schemas['AllRunsOut']) => void;
  }
  let { jobId, found, onstate }: Props = $props();
  const latest = $derived(found.states.at(-1));

  const CAUSE = {
    key: 'cause',
    kind: 'pick',
    label: say('run-list-what-changed'),
    options: answers('cause', ['firmware', 'tuned', 'cycled', 'attempt', 'reopened', 'told']),
  } as const;
  const FIRMWARE = { key: 'firmware', label: say('run-list-firmware') } as const;
  const TUNING = { key: 'tuning', label: say('run-list-tuning') } as const;
  const CYCLES = { key: 'heat_cycles', kind: 'whole', label: say('run-list-cycles') } as const;
  const MATERIAL = {
    key: 'material',
    kind: 'pick',
    label: say('run-list-material'),
    options: [{ value: '', label: say('run-list-material-same') }, ...answers('kind', KIND_NAMES)],
  } as const;
  const PRODUCT = { key: 'product', label: say('run-list-product') } as const;
  const WORDS = { key: 'words', label: say('run-list-words') } as const;
  const STATE = [CAUSE, FIRMWARE, TUNING, CYCLES, MATERIAL, PRODUCT, WORDS] as const satisfies FieldList;

  const begin: SentForm<typeof STATE> = new SentForm(
    STATE,
    async ({ cause, material, ...typed }) => {
      const asked = new Set<string>(begin.shown.map((field) => field.key));
      const only = <T, N>(key: string, value: T, none: N) => (asked.has(key) ? value : none);
      const body = {
        cause,
        words: typed.words,
        cover: '',
        firmware: only('firmware', typed.firmware, ''),
        tuning: only('tuning', typed.tuning, ''),
        material: only('material', material || null, null),
        product: only('product', typed.product, ''),
        heat_cycles: only('heat_cycles', typed.heat_cycles, null),
      };
      const next = await take(client.POST('/api/jobs/{job_id}/states', { params: { path: { job_id: jobId } }, body }));
      toast(say('run-list-state-begun', { position: next.states.length }));
      begin.fill({ cause });
      onstate(next);
    },
    {
      shown: () => {
        const { cause, material } = begin.fields;
        return [
          CAUSE,
          ...(cause === 'firmware' ? [{ ...FIRMWARE, hint: latest?.firmware ?? '' }] : []),
          ...(cause === 'tuned' ? [TUNING] : []),
          ...(cause === 'cycled' ? [CYCLES] : []),
          ...(cause === 'attempt' ? [MATERIAL, ...(material ? [PRODUCT] : [])] : []),
          WORDS,
        ];
      },
    },
  );
</script>

<section>
  <h2>{say('run-list-next-state')}</h2>
  <p class="quiet">{say('run-list-next-state-words')}</p>
  <FilledForm form={begin} lay="stack" action={say('run-list-add-state')} />
</section>

<style>
  h2 {
    margin: 0;
    font-size: var(--size-3);
  }
</style>
