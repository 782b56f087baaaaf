import { defineRecipe, defineSlotRecipe } from '@chakra-ui/react';

/** Buttons: `solid` for the one main act of a screen, `outline` beside it, `ghost` inside text and tables. */
const button = defineRecipe({
  base: {
    display: 'inline-flex',
    alignItems: 'center',
    justifyContent: 'center',
    maxWidth: '100%',
    verticalAlign: 'middle',
    userSelect: 'none',
    lineHeight: 1.2,
    paddingY: '4px',
    borderWidth: '1px',
    borderColor: 'transparent',
    borderRadius: '8px',
    fontWeight: 'bold',
    cursor: 'pointer',
    _disabled: { opacity: 0.5, cursor: 'not-allowed' },
    _icon: { flexShrink: 0, width: '20px', height: '20px' },
  },
  variants: {
    size: {
      xs: { minHeight: '32px', minWidth: '32px', paddingX: '10px', gap: '4px', fontSize: '14px' },
      sm: { minHeight: '36px', minWidth: '36px', paddingX: '14px', gap: '8px', fontSize: '15px' },
      md: { minHeight: '40px', minWidth: '40px', paddingX: '16px', gap: '8px', fontSize: '15px' },
    },
    variant: {
      solid: { bg: 'act', color: 'act.ink', _hover: { bg: 'act.strong' } },
      outline: {
        bg: 'paper',
        color: 'ink',
        fontWeight: 'medium',
        borderColor: 'line.strong',
        _hover: { bg: 'soft' },
      },
      ghost: { bg: 'transparent', color: 'act', _hover: { bg: 'soft' } },
    },
  },
  defaultVariants: { size: 'md', variant: 'outline' },
});

/** Headings of the sections of a sheet. */
const sectionHeading = defineRecipe({
  base: { fontSize: '15px', fontWeight: 'semibold', color: 'ink.soft', lineHeight: 1.4 },
});

/** A word beside a name. */
const badge = defineRecipe({
  base: {
    display: 'inline-flex',
    alignItems: 'center',
    paddingX: '6px',
    minHeight: '20px',
    borderRadius: '4px',
    fontWeight: 'medium',
    whiteSpace: 'nowrap',
  },
});

const spinner = defineRecipe({
  base: {
    display: 'inline-block',
    width: '1em',
    height: '1em',
    border: '2px solid currentColor',
    borderRadius: '50%',
    borderBottomColor: 'transparent',
    borderInlineStartColor: 'transparent',
    animation: 'spin 0.5s linear infinite',
  },
});

export const recipes = { button, sectionHeading, badge, spinner };

const LAYER = 'calc(1500 + var(--layer-index, 0))';
const OVER_ALL = { position: 'fixed', inset: 0, width: '100dvw', height: '100dvh' } as const;

/** Dialogs and what opens at a button come at once: nobody waits for a movement. */
const dialog = defineSlotRecipe({
  slots: ['backdrop', 'positioner', 'content', 'header', 'title', 'body', 'footer', 'closeTrigger'],
  base: {
    backdrop: { ...OVER_ALL, bg: 'rgba(0, 0, 0, 0.5)', zIndex: LAYER },
    positioner: {
      ...OVER_ALL,
      display: 'flex',
      alignItems: 'center',
      justifyContent: 'center',
      overflow: 'hidden',
      zIndex: LAYER,
    },
    content: {
      display: 'flex',
      flexDirection: 'column',
      position: 'relative',
      width: '100%',
      maxHeight: 'calc(100% - 120px)',
      margin: 'auto',
      outline: 0,
      boxShadow: 'over',
    },
    header: { display: 'flex', padding: '24px 24px 16px' },
    title: { fontWeight: 'semibold', lineHeight: 1.4 },
    body: { flex: 1, overflow: 'auto', padding: '8px 24px 24px' },
    footer: {
      display: 'flex',
      alignItems: 'center',
      justifyContent: 'flex-end',
      gap: '12px',
      padding: '8px 24px 16px',
    },
    closeTrigger: { position: 'absolute', top: '8px', insetEnd: '8px' },
  },
  variants: {
    size: {
      sm: { content: { maxWidth: '448px' } },
      md: { content: { maxWidth: '512px' } },
      lg: { content: { maxWidth: '672px' } },
    },
  },
  defaultVariants: { size: 'sm' },
});

const popover = defineSlotRecipe({
  slots: ['positioner', 'content', 'body'],
  base: {
    content: {
      position: 'relative',
      display: 'flex',
      flexDirection: 'column',
      maxWidth: 'calc(100dvw - 16px)',
      borderRadius: '8px',
      boxShadow: 'over',
      outline: 0,
      zIndex: LAYER,
    },
    body: { flex: 1 },
  },
});

const toast = defineSlotRecipe({
  slots: ['root', 'title', 'description', 'indicator', 'actionTrigger', 'closeTrigger'],
  base: {
    root: {
      display: 'flex',
      alignItems: 'flex-start',
      position: 'relative',
      gap: '12px',
      padding: '16px 24px 16px 16px',
      borderRadius: '8px',
      translate: 'var(--x) var(--y)',
      scale: 'var(--scale)',
      zIndex: 'var(--z-index)',
      height: 'var(--height)',
      opacity: 'var(--opacity)',
      transition: 'translate 0.3s, opacity 0.3s, height 0.3s',
    },
    description: { display: 'inline' },
    actionTrigger: { alignSelf: 'center' },
    closeTrigger: {
      position: 'absolute',
      top: '4px',
      insetEnd: '4px',
      padding: '4px',
      display: 'inline-flex',
      alignItems: 'center',
      justifyContent: 'center',
      borderRadius: '4px',
      cursor: 'pointer',
    },
  },
});

const toggle = defineSlotRecipe({
  slots: ['root', 'label', 'control', 'thumb'],
  base: {
    root: {
      display: 'inline-flex',
      alignItems: 'center',
      gap: '10px',
      position: 'relative',
      minHeight: '44px',
    },
    label: { userSelect: 'none' },
    control: {
      display: 'inline-flex',
      flexShrink: 0,
      width: '44px',
      height: '24px',
      padding: '2px',
      borderRadius: '12px',
      bg: 'line.strong',
      cursor: 'pointer',
      _checked: { bg: 'act' },
      '&[data-focus-visible]': { outline: '3px solid', outlineColor: 'water', outlineOffset: '2px' },
    },
    thumb: {
      width: '20px',
      height: '20px',
      borderRadius: '50%',
      bg: 'paper',
      transition: 'translate 0.12s',
      _checked: { translate: '20px 0' },
    },
  },
});

/** A few side by side, one of them chosen. */
const segmentGroup = defineSlotRecipe({
  slots: ['root', 'item', 'itemText', 'itemControl', 'indicator', 'label'],
  base: {
    root: {
      display: 'inline-flex',
      position: 'relative',
      isolation: 'isolate',
      borderRadius: '8px',
      bg: 'soft',
      textAlign: 'center',
    },
    item: {
      display: 'flex',
      alignItems: 'center',
      justifyContent: 'center',
      position: 'relative',
      minHeight: '36px',
      paddingX: '16px',
      fontSize: '15px',
      cursor: 'pointer',
      userSelect: 'none',
      borderRadius: '8px',
      _checked: { fontWeight: 'bold' },
      '&:has(input:focus-visible)': { outline: '3px solid', outlineColor: 'water' },
    },
    indicator: {
      position: 'absolute',
      zIndex: -1,
      left: 'var(--left)',
      top: 'var(--top)',
      width: 'var(--width)',
      height: 'var(--height)',
      bg: 'paper',
      borderWidth: '1px',
      borderColor: 'line.strong',
      borderRadius: '8px',
    },
  },
});

const progress = defineSlotRecipe({
  slots: ['root', 'label', 'track', 'range', 'valueText', 'view', 'circle', 'circleTrack', 'circleRange'],
  base: {
    label: { display: 'inline-flex', fontWeight: 'medium', marginBottom: '4px' },
    track: { overflow: 'hidden', height: '10px', borderRadius: '4px', bg: 'soft' },
    range: { height: '100%', bg: 'act', transition: 'width 0.2s' },
  },
});

/** A list to choose from by a few letters. */
const listbox = defineSlotRecipe({
  slots: ['root', 'input', 'content', 'item', 'itemText', 'itemGroup', 'itemGroupLabel'],
  base: {
    input: {
      width: '100%',
      minHeight: '52px',
      fontSize: '18px',
      bg: 'ground',
      borderWidth: '1px',
      borderColor: 'line.strong',
      borderRadius: '8px',
      paddingX: '14px',
    },
    content: { marginTop: '10px', minHeight: '200px', outline: 'none' },
    item: {
      display: 'flex',
      alignItems: 'baseline',
      gap: '12px',
      padding: '10px 12px',
      borderRadius: '8px',
      cursor: 'pointer',
      '&[data-highlighted]': { bg: 'soft', outline: '2px solid', outlineColor: 'water' },
    },
    itemText: { flex: '1 1 55%', overflowWrap: 'anywhere' },
    itemGroupLabel: { fontSize: '14px', fontWeight: 'semibold', color: 'ink.soft', padding: '8px 12px 2px' },
  },
});

export const slotRecipes = { dialog, listbox, popover, toast, switch: toggle, segmentGroup, progress };
