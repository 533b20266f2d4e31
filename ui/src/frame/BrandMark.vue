<script setup lang="ts"></script>

<template>
  <router-link to="/" class="brand" aria-label="Yellow Parcel, all jobs">
    <span class="flag" aria-hidden="true"></span>
    <span class="words">Yellow Parcel</span>
  </router-link>
</template>

<style scoped>
.brand {
  font: 650 var(--size-number) var(--head);
  text-decoration: none;
  display: inline-flex;
  align-items: center;
  gap: var(--near);
  white-space: nowrap;
}
@media (max-width: 900px) {
  .words {
    display: none;
  }
}
.flag {
  width: 26px;
  height: 16px;
  background: var(--yellow);
  clip-path: polygon(8px 0, 100% 0, 100% 100%, 8px 100%, 0 50%);
}
</style>
