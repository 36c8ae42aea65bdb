const ZEROS = ["0", "٠", "۰", "०", "০", "๐", "０"] as const;

/** The text with the digits of other scripts as ASCII ones. */
export const plainDigits = (text: string): string =>
  text.replace(/\p{Nd}/gu, (digit) => {
    const zero = ZEROS.find((one) => {
      const value = digit.codePointAt(0)! - one.codePointAt(0)!;
      return value >= 0 && value <= 9;
    });
    return zero ? String(digit.codePointAt(0)! - zero.codePointAt(0)!) : digit;
  });
