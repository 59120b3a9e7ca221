/** Rises with everything that the server records as an event: whoever shows events asks again. */
import { ref } from 'vue'

export const happenings = ref(0)
