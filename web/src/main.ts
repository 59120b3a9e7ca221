import '@fontsource-variable/atkinson-hyperlegible-next'
import './styles/tokens.css'
import { createPinia } from 'pinia'
import { createApp } from 'vue'
import App from './App.vue'
import { router } from './router.ts'
import { vuetify } from './vuetify.ts'
import './styles/base.css'

createApp(App).use(createPinia()).use(router).use(vuetify).mount('#app')
