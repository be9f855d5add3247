<script lang="ts">
  import { say } from '../job/words';
  import Intake from './Intake.svelte';
  import { go } from '../../lib/router.svelte';
</script>

<h1>{say('new-job-take-device-in')}</h1>
<p class="quiet">{say('new-job-what-customer-says-what')}</p>
<Intake job={null} onsaved={(job) => go(`/jobs/${job.id}/${job.stage === 'stopped' ? 'intake' : 'before'}`)} />

<style>
  p {
    margin: var(--gap-1) 0 var(--gap-5);
  }
</style>
