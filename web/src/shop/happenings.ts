/** Counts the events that the server records: a view that shows events fetches them again. */
import { ref } from 'vue'

export const happenings = ref(0)
