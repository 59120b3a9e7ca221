/** Who sits here, and how far that goes. */
import { defineStore } from 'pinia'
import { computed, ref } from 'vue'
import { dropKept } from '../../offline/kept.ts'
import { ask, isOpenFor, onSignedOut } from '../api/client.ts'

export type Role = 'guest' | 'welder' | 'planner' | 'owner'

interface Me {
  readonly who: string
  /** By which drafts are told apart; null: nobody is signed in. */
  readonly account: string | null
  readonly role: Role | null
  readonly via: string
  readonly needsSignIn: boolean
  /** Here the shop is open without sign-in, and this browser has not shown yet that it is here. */
  readonly needsLink: boolean
  readonly hasOwner: boolean
  /** What the role may, in words. */
  readonly may: string | null
  /** Kinds of records that it may write. */
  readonly writes: readonly string[]
}

export const useSession = defineStore('session', () => {
  const me = ref<Me | null>(null)
  const isSignedOut = ref(false)
  onSignedOut(() => {
    isOpenFor(null)
    isSignedOut.value = true
  })

  /** @throws RequestFailed where the server does not respond */
  async function find(): Promise<void> {
    isOpenFor(null)
    me.value = await ask<Me>('GET', 'me')
    isOpenFor(me.value.account)
    isSignedOut.value = me.value.role === null
  }
  async function signIn(name: string, password: string): Promise<void> {
    await ask('POST', 'sign-in', { name, password })
    await find()
  }
  async function signOut(everywhere: boolean): Promise<void> {
    await ask('POST', everywhere ? 'sign-out-everywhere' : 'sign-out', {})
    await find()
    // Away from loopback and TLS a browser keeps nothing.
    if ('caches' in window) await dropKept()
  }

  return {
    me,
    /** Nobody is signed in, or no longer: what was typed stays in this browser. */
    isSignedOut,
    find,
    signIn,
    signOut,
    isOwner: computed(() => me.value?.role === 'owner'),
    /** Ticks, tries and evidence at a machine: everybody but a guest. */
    mayRecord: computed(() => me.value === null || me.value.role !== 'guest'),
    /** Until the server has said otherwise everything may be written: it is the one that decides. */
    mayWrite: (path: string): boolean => me.value === null || me.value.writes.includes(path),
  }
})
