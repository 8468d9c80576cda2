export { areaAt, polygonArea } from './areaAt'
export {
  checkContainer,
  containerVolumes,
  LARGEST_HEIGHT,
  LARGEST_LENGTH,
  type Base,
  type Container,
  type ContainerVolumes,
  type SubsoilTexture,
} from './container'
export { shapeHeight, type Shape, type ShapeKind } from './shape'
export { heightForVolume, volumeBelow, volumeBetween } from './volumeBelow'
export { broadSide, footWidth, perimeterAt, surfaceSquareMetres, wallArea, widthsAt } from './outline'
