<script lang="ts" generics="T extends string">
  interface Props {
    legend: string;
    options: { value: T; label: string }[];
    value: T;
    name: string;
    error?: string | undefined;
    wide?: boolean;
    /** What is asked stands beside it already; it is only told to those who do not see it. */
    bare?: boolean;
    /** What is asked stands in one line with the answers. */
    inline?: boolean;
    /** The value that is no choice made yet, and does not look like one. */
    unmade?: T;
  }
  let {
    legend,
    options,
    value = $bindable(),
    name,
    error,
    wide = false,
    bare = false,
    inline = false,
    unmade,
  }: Props = $props();
  const uid = $props.id();
</script>

<fieldset class:wide class:inline aria-describedby={error ? `${uid}-error` : undefined}>
  <legend class:off-screen={bare}>{legend}</legend>
  <div class="row">
    {#each options as option (option.value)}
      <label class:unmade={option.value === unmade}>
        <input type="radio" name="{name}-{uid}" value={option.value} bind:group={value} />
        <span>{option.label}</span>
      </label>
    {/each}
  </div>
  {#if error}<p class="error" id="{uid}-error" role="alert">{error}</p>{/if}
</fieldset>

<style>
  fieldset {
    margin: 0;
    padding: 0;
    border: 0;
    min-width: 0;
  }
  .wide {
    grid-column: 1 / -1;
  }
  legend {
    padding: 0;
    margin-bottom: var(--gap-1);
    font-size: var(--size-1);
    font-weight: 620;
  }
  .inline {
    display: flex;
    flex-wrap: wrap;
    align-items: center;
    gap: 0 var(--gap-3);
  }
  .inline legend {
    float: left;
    margin: 0;
  }
  .row {
    display: flex;
    flex-wrap: wrap;
  }
  label {
    position: relative;
    display: flex;
    margin-right: -1.5px;
  }
  input {
    position: absolute;
    inset: 0;
    width: 100%;
    height: 100%;
    margin: 0;
    opacity: 0;
    cursor: pointer;
  }
  span {
    display: flex;
    align-items: center;
    justify-content: center;
    min-width: calc(var(--target) + 2px);
    min-height: var(--target);
    padding: 0 var(--gap-3);
    border: var(--line) solid var(--edge);
    background: var(--sheet);
  }
  label:first-child span {
    border-radius: var(--round) 0 0 var(--round);
  }
  label:last-child span {
    border-radius: 0 var(--round) var(--round) 0;
  }
  input:checked + span {
    border-color: var(--owl);
    background: var(--owl-tint);
    box-shadow: inset 0 -3px 0 var(--owl);
    font-weight: 620;
    z-index: 1;
  }
  .unmade input:checked + span {
    border-color: var(--edge);
    border-style: dashed;
    background: none;
    box-shadow: none;
    font-style: italic;
    font-weight: 400;
  }
  input:focus-visible + span {
    outline: 3px solid var(--owl);
    outline-offset: 1px;
    z-index: 2;
  }
  .error {
    color: var(--halt);
    font-weight: 620;
    font-size: var(--size-0);
  }
</style>
