<script setup lang="ts">
import { onceAtRest } from '../atRest.ts'
import { keepOffline } from '../keepOffline.ts'

/** Shows nothing. To fetch every file of the application is a second of work, once a version. */
if (import.meta.env.PROD) onceAtRest(() => void keepOffline())
</script>

<template><span hidden></span></template>
