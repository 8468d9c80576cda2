import { definePreset } from '@primeuix/themes'
import base from '@primeuix/themes/aura/base'
import button from '@primeuix/themes/aura/button'
import checkbox from '@primeuix/themes/aura/checkbox'
import dialog from '@primeuix/themes/aura/dialog'
import chip from '@primeuix/themes/aura/chip'
import inputtext from '@primeuix/themes/aura/inputtext'
import multiselect from '@primeuix/themes/aura/multiselect'
import progressbar from '@primeuix/themes/aura/progressbar'
import select from '@primeuix/themes/aura/select'
import selectbutton from '@primeuix/themes/aura/selectbutton'
import textarea from '@primeuix/themes/aura/textarea'
import togglebutton from '@primeuix/themes/aura/togglebutton'

const clay = {
  50: '#fbf1ea',
  100: '#f6e0d3',
  200: '#ecc0a9',
  300: '#e0997a',
  400: '#d1714d',
  500: '#b8532f',
  600: '#9c4126',
  700: '#7e331e',
  800: '#61281a',
  900: '#441d14',
  950: '#27100b',
}

/** Every colour PrimeVue asks for comes from our own roles, so that the three themes need no second table. */
const roles = {
  primary: {
    color: 'var(--clay)',
    contrastColor: 'var(--clay-ink)',
    hoverColor: 'var(--clay)',
    activeColor: 'var(--clay)',
  },
  highlight: {
    background: 'var(--clay-wash)',
    focusBackground: 'var(--clay-wash)',
    color: 'var(--ink)',
    focusColor: 'var(--ink)',
  },
  formField: {
    background: 'var(--sheet)',
    borderColor: 'var(--edge)',
    hoverBorderColor: 'var(--ink)',
    focusBorderColor: 'var(--focus)',
    invalidBorderColor: 'var(--alarm)',
    color: 'var(--ink)',
    placeholderColor: 'var(--ink-soft)',
    iconColor: 'var(--ink-soft)',
    shadow: 'none',
  },
  text: {
    color: 'var(--ink)',
    hoverColor: 'var(--ink)',
    mutedColor: 'var(--ink-soft)',
    hoverMutedColor: 'var(--ink)',
  },
  content: {
    background: 'var(--sheet)',
    hoverBackground: 'var(--clay-wash)',
    borderColor: 'var(--rule)',
    color: 'var(--ink)',
    hoverColor: 'var(--ink)',
  },
  overlay: {
    select: { background: 'var(--sheet)', borderColor: 'var(--edge)', color: 'var(--ink)' },
    popover: { background: 'var(--sheet)', borderColor: 'var(--edge)', color: 'var(--ink)' },
    modal: { background: 'var(--sheet)', borderColor: 'var(--edge)', color: 'var(--ink)' },
  },
  list: {
    option: {
      focusBackground: 'var(--clay-wash)',
      selectedBackground: 'var(--clay-wash)',
      selectedFocusBackground: 'var(--clay-wash)',
      color: 'var(--ink)',
      focusColor: 'var(--ink)',
      selectedColor: 'var(--ink)',
      selectedFocusColor: 'var(--ink)',
    },
  },
  mask: { background: 'rgb(20 14 8 / 0.5)', color: 'var(--ink)' },
}

/** Open Bed's preset: PrimeVue's base measures, our colours, and only the components that are used. */
export const openBedPreset = definePreset(
  {
    ...base,
    components: {
      button,
      checkbox,
      chip,
      dialog,
      inputtext,
      multiselect,
      progressbar,
      select,
      selectbutton,
      textarea,
      togglebutton,
    },
  },
  {
    semantic: {
      primary: clay,
      focusRing: { width: '3px', style: 'solid', color: 'var(--focus)', offset: '2px' },
      formField: { borderRadius: '8px', paddingX: '0.7rem', paddingY: '0.5rem' },
      colorScheme: { light: roles, dark: roles },
    },
    components: {
      button: {
        root: { borderRadius: '8px', paddingX: '0.9rem', label: { fontWeight: '600' } },
        colorScheme: Object.fromEntries(
          ['light', 'dark'].map((scheme) => [
            scheme,
            {
              root: {
                danger: {
                  background: 'var(--alarm)',
                  hoverBackground: 'var(--alarm)',
                  activeBackground: 'var(--alarm)',
                  borderColor: 'var(--alarm)',
                  hoverBorderColor: 'var(--alarm)',
                  activeBorderColor: 'var(--alarm)',
                  color: 'var(--paper)',
                  hoverColor: 'var(--paper)',
                  activeColor: 'var(--paper)',
                },
              },
              outlined: {
                primary: {
                  borderColor: 'var(--edge)',
                  color: 'var(--ink)',
                  hoverBackground: 'var(--clay-wash)',
                },
                danger: {
                  borderColor: 'var(--alarm)',
                  color: 'var(--alarm)',
                  hoverBackground: 'var(--alarm-wash)',
                },
              },
              text: {
                primary: { color: 'var(--clay)', hoverBackground: 'var(--clay-wash)' },
                danger: { color: 'var(--alarm)', hoverBackground: 'var(--alarm-wash)' },
              },
            },
          ]),
        ),
      },
      togglebutton: {
        colorScheme: Object.fromEntries(
          ['light', 'dark'].map((scheme) => [
            scheme,
            {
              root: {
                background: 'transparent',
                checkedBackground: 'var(--clay)',
                hoverBackground: 'var(--clay-wash)',
                borderColor: 'var(--edge)',
                checkedBorderColor: 'var(--clay)',
                color: 'var(--ink)',
                hoverColor: 'var(--ink)',
                checkedColor: 'var(--clay-ink)',
              },
              content: { checkedBackground: 'transparent', checkedShadow: 'none' },
            },
          ]),
        ),
      },
      checkbox: {
        root: {
          width: '1.5rem',
          height: '1.5rem',
          checkedBorderColor: 'var(--clay)',
          checkedBackground: 'var(--clay)',
        },
      },
    },
  },
)
