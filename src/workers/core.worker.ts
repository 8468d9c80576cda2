import { expose } from 'comlink'
import { makeCoreApi } from './coreApi'

expose(makeCoreApi())
