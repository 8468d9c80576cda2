export { heatLog, ripeness, type HeatLog, type HeatReading, type Ripeness } from './heat'
export {
  HEAP_INPUTS,
  heapFaults,
  heapInput,
  heapOf,
  heapYield,
  litresForCarbon,
  waterForMoisture,
  type Heap,
  type HeapFault,
  type HeapInput,
  type HeapLoad,
  type HeapYield,
} from './heap'
export { HEAP_LIMITS } from './limits'
