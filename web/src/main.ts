import '@fontsource-variable/atkinson-hyperlegible-next'
import './styles/tokens.css'
import { createPinia } from 'pinia'
import { createApp } from 'vue'
import App from './App.vue'
import { vTip } from './components/tip.ts'
import { catchUnexpected } from './errors.ts'
import { reloadOutdated } from './outdated.ts'
import { router } from './router.ts'
import { rememberWay } from './wayBack.ts'
import { vuetify } from './vuetify.ts'
import './styles/base.css'
import './styles/print.css'

const app = createApp(App).use(createPinia()).use(router).use(vuetify).directive('tip', vTip)
catchUnexpected(app)
rememberWay(router)
reloadOutdated(router, (address) => {
  location.assign(address)
})
app.mount('#app')
