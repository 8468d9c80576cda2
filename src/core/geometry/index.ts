export { areaAt } from './areaAt'
export {
  BODIES,
  bodyRow,
  LARGEST_HEIGHT,
  LARGEST_LENGTH,
  polygonArea,
  sizesOf,
  withLengths,
  type Body,
  type BodyKind,
  type BodySizes,
  type SizeRow,
} from './bodies'
export {
  checkContainer,
  containerVolumes,
  type Base,
  type Container,
  type ContainerVolumes,
  type SubsoilTexture,
} from './container'
export { bodyOf, deeper, larger, rimHeight, shapeHeight, type Shape, type ShapeKind } from './shape'
export { heightForVolume, volumeBelow, volumeBetween } from './volumeBelow'
export {
  broadSide,
  footprintOf,
  footWidth,
  perimeterAt,
  sectionWidth,
  surfaceSquareMetres,
  wallArea,
  widthsAt,
} from './outline'
