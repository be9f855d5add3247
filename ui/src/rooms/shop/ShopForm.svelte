<script lang="ts">
  // The shop as it stands, and one of the two forms over it.
  import { say } from '$words/page-shop.ftl';
  import { resource } from '../../lib/asking.svelte';
  import { client, take, type Schemas } from '../../lib/api';
  import Notice from '../../lib/parts/Notice.svelte';
  import Trouble from '../../lib/parts/Trouble.svelte';
  import { toast } from '../../lib/toasts.svelte';
  import Habits from './Habits.svelte';
  import Instruments from './Instruments.svelte';

  interface Props {
    page: 'instruments' | 'pricing';
    owner: boolean;
  }
  let { page, owner }: Props = $props();
  const found = resource(
    () => ({}),
    () => take(client.GET('/api/shop')),
  );
  const shop = $derived(found.value);

  /** What one form changes goes with what stands in the other. */
  async function save(given: Partial<Omit<Schemas['ShopIn'], 'version'>>) {
    if (!shop) return;
    const { version, reference_room_c, tolerances, habits } = shop;
    const body = { version, reference_room_c, tolerances, habits, ...given };
    found.value = await take(client.PUT('/api/shop', { body }));
    toast(say('shop-saved-verdicts-open-jobs'));
  }
</script>

<Trouble of={found} />
{#if shop}
  {#if !owner}<div class="gap">
      <Notice title={say('shop-only-owner-may-change')}>{say('shop-you-can-look-at')}</Notice>
    </div>{/if}
  {#if page === 'instruments'}<Instruments {shop} {owner} {save} />{:else}<Habits {shop} {owner} {save} />{/if}
{/if}

<style>
  .gap {
    margin-bottom: var(--gap-4);
  }
</style>
