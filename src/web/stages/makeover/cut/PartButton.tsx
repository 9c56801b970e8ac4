import type { KeyboardEvent, SVGProps } from 'react';
import styles from './cut.module.css';

/** A part of a drawing that is pressed as a button is: Enter and space press it, other keys are offered to its drawing. */
export function PartButton({
  label,
  isPressed,
  onPress,
  onOtherKey,
  children,
  ...rest
}: {
  label: string;
  isPressed: boolean;
  onPress: () => void;
  /** Gives whether the key meant something. */
  onOtherKey?: (event: KeyboardEvent) => boolean;
} & Omit<SVGProps<SVGGElement>, 'onKeyDown'>) {
  return (
    // biome-ignore lint/a11y/useSemanticElements: a part of a drawing cannot be a button element
    <g
      {...rest}
      role="button"
      tabIndex={0}
      aria-pressed={isPressed}
      aria-label={label}
      className={styles.part}
      onKeyDown={(event) => {
        const isPress = event.key === 'Enter' || event.key === ' ';
        if (isPress) onPress();
        else if (!onOtherKey?.(event)) return;
        event.preventDefault();
        event.stopPropagation();
      }}
    >
      {children}
    </g>
  );
}
