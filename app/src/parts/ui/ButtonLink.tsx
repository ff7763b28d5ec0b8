import { Link, type LinkProps } from 'react-router';
import { cx } from './cx';
import { LOOKS, type Look } from './looks';

/** A link that looks like the button it stands beside: it leads somewhere and changes nothing. */
export function ButtonLink({
  look = 'plain',
  className,
  ...rest
}: LinkProps & { readonly look?: Look; readonly className?: string }) {
  return <Link className={cx('inline-flex min-h-11 items-center', LOOKS[look], className)} {...rest} />;
}
