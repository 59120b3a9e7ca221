<script setup lang="ts">
import { scaleLinear } from 'd3'
import { computed, onMounted, onUnmounted, useTemplateRef, watch } from 'vue'
import type { Thinned } from '@brannik/core'

/** Measurements over time, a lane each: from the lowest to the highest of every stretch, so that no spike is lost. */
const { lanes, fromS, toS, label } = defineProps<{
  lanes: readonly { readonly title: string; readonly unit: string; readonly values: Thinned | null }[]
  fromS: number
  toS: number
  label: string
}>()
const canvas = useTemplateRef<HTMLCanvasElement>('canvas')
const shown = computed(() => lanes.filter(({ values }) => values !== null))

const LEFT = 46
const RIGHT = 8
const FOOT = 18
const LANE = 86

function clock(seconds: number): string {
  const whole = Math.round(seconds)
  const minutes = Math.floor(whole / 60)
  return minutes >= 1 ? `${minutes}:${`${whole % 60}`.padStart(2, '0')}` : `${whole} s`
}

function draw(): void {
  const element = canvas.value
  const context = element?.getContext('2d')
  if (!element || !context) return
  const width = element.clientWidth
  const height = shown.value.length * LANE + FOOT
  const ratio = window.devicePixelRatio || 1
  if (element.width !== Math.round(width * ratio) || element.height !== Math.round(height * ratio)) {
    element.width = Math.round(width * ratio)
    element.height = Math.round(height * ratio)
  }
  const style = getComputedStyle(element)
  const color = (name: string): string => style.getPropertyValue(name).trim()
  context.setTransform(ratio, 0, 0, ratio, 0, 0)
  context.clearRect(0, 0, width, height)
  context.font = '12px "Atkinson Hyperlegible Next Variable", sans-serif'
  const x = scaleLinear([fromS, toS], [LEFT, width - RIGHT])
  for (const [index, { title, unit, values }] of shown.value.entries()) {
    if (!values) continue
    const top = index * LANE
    let most = 0
    for (const value of values.high) if (value > most) most = value
    const y = scaleLinear([0, most || 1], [top + LANE - 8, top + 18]).nice(3)
    context.strokeStyle = color('--line')
    context.fillStyle = color('--ink-2')
    context.textAlign = 'right'
    for (const tick of y.ticks(3)) {
      context.beginPath()
      context.moveTo(LEFT, y(tick))
      context.lineTo(width - RIGHT, y(tick))
      context.stroke()
      context.fillText(String(tick), LEFT - 6, y(tick) + 4)
    }
    context.textAlign = 'left'
    context.fillText(`${title}, ${unit}`, LEFT + 2, top + 12)
    context.fillStyle = color('--copper')
    const step = (width - LEFT - RIGHT) / values.low.length
    for (let at = 0; at < values.low.length; at += 1) {
      const [low, high] = [values.low[at] ?? Number.NaN, values.high[at] ?? Number.NaN]
      if (Number.isNaN(low)) continue
      const from = y(high)
      context.fillRect(LEFT + at * step, from, Math.max(1, step), Math.max(1.2, y(low) - from))
    }
  }
  context.fillStyle = color('--ink-2')
  context.textAlign = 'center'
  for (const tick of x.ticks(Math.max(2, Math.floor(width / 130))))
    context.fillText(clock(tick), Math.min(width - 24, Math.max(LEFT, x(tick))), height - 4)
}

let frame = 0
/** Once a frame, however often it changes. */
function drawSoon(): void {
  cancelAnimationFrame(frame)
  frame = requestAnimationFrame(draw)
}
const watcher = typeof ResizeObserver === 'undefined' ? null : new ResizeObserver(drawSoon)
onMounted(() => {
  if (canvas.value) watcher?.observe(canvas.value)
  drawSoon()
})
onUnmounted(() => {
  cancelAnimationFrame(frame)
  watcher?.disconnect()
})
watch(() => [lanes, fromS, toS], drawSoon)
</script>

<template>
  <canvas
    ref="canvas"
    role="img"
    :aria-label="label"
    :style="{ height: `${shown.length * LANE + FOOT}px` }"
  ></canvas>
</template>

<style scoped>
canvas {
  display: block;
  width: 100%;
}
</style>
