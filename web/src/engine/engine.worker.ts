/** The engine in a thread of its own, so that typing stays smooth. */
import { expose } from 'comlink'
import { Engine } from './engine.ts'

expose(new Engine())
