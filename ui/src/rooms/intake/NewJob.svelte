<script lang="ts">
  import { say } from '$words/page-intake.ftl';
  import Intake from './Intake.svelte';
  import { client, take, type Schemas } from '../../lib/api';
  import { go } from '../../lib/router.svelte';

  // ?device= names one that has been here.
  const asked = new URLSearchParams(location.search).get('device');
  const known: Promise<Schemas['DeviceOut'] | null> = asked
    ? take(client.GET('/api/devices/{device_id}', { params: { path: { device_id: asked } } })).catch(() => null)
    : Promise.resolve(null);
</script>

<h1>{say('new-job-take-device-in')}</h1>
<p class="quiet">{say('new-job-what-customer-says-what')}</p>
{#await known then device}
  <Intake
    job={null}
    {device}
    onsaved={(job) => go(`/jobs/${job.id}/${job.stage === 'stopped' ? 'intake' : 'before'}`)}
  />
{/await}

<style>
  p {
    margin: var(--gap-1) 0 var(--gap-5);
  }
</style>
