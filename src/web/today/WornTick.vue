<script setup lang="ts">
/** The tick on what is worn; it lands. Hollow while it waits on this device. */
defineProps<{ waiting?: boolean }>()
</script>

<template>
  <svg class="worn" :class="{ waiting }" viewBox="0 0 22 22" width="22" height="22" aria-hidden="true">
    <rect width="22" height="22" rx="6" />
    <path d="M6 11.300l3.400 3.600 6.800-7.600" />
  </svg>
</template>

<style scoped>
.worn {
  fill: var(--primary);
  animation: land 0.18s ease-out;
}

rect {
  stroke-width: 2;
}

.waiting {
  fill: var(--raised);
}

.waiting rect {
  stroke: var(--attention);
  stroke-dasharray: 3 2;
}

.waiting path {
  stroke: var(--attention);
}

path {
  fill: none;
  stroke: var(--on-primary);
  stroke-width: 2.6;
  stroke-linecap: round;
  stroke-linejoin: round;
}

@keyframes land {
  from {
    transform: scale(1.6);
    opacity: 0;
  }
}
</style>
