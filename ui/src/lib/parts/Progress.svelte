<script lang="ts">
  interface Props {
    label: string;
    /** 0 to 1, or null while the length is not known. */
    share: number | null;
  }
  let { label, share }: Props = $props();
</script>

<div class="progress lay-stack">
  <span class="label">{label}</span>
  <div
    class="track"
    role="progressbar"
    aria-label={label}
    aria-valuemin="0"
    aria-valuemax="100"
    aria-valuenow={share === null ? undefined : Math.round(share * 100)}
  >
    <div class="bar" class:unknown={share === null} style:width={share === null ? '30%' : `${share * 100}%`}></div>
  </div>
</div>

<style>
  .progress {
    gap: var(--gap-2);
    width: 100%;
  }
  .track {
    height: 14px;
    border: var(--line) solid var(--ink);
    border-radius: var(--round);
    overflow: hidden;
  }
  .bar {
    height: 100%;
    background: repeating-linear-gradient(
      -45deg,
      var(--owl) 0 8px,
      color-mix(in srgb, var(--owl) 70%, var(--sheet)) 8px 16px
    );
  }
  .unknown {
    animation: to-and-fro 1.4s ease-in-out infinite alternate;
  }
  @keyframes to-and-fro {
    to {
      transform: translateX(233%);
    }
  }
</style>
