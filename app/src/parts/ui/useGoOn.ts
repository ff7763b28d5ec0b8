import { useNavigate } from 'react-router';

/**
 * Goes on when the work that was asked for here is done. Who has gone elsewhere meanwhile stays there: a page that
 * changes under one's hands a second after it was opened is worse than one press more.
 */
export function useGoOn(): () => (to: string, options?: { readonly state: unknown }) => void {
  const navigate = useNavigate();
  return () => {
    const asked = window.location.pathname;
    return (to, options) => {
      if (window.location.pathname === asked) void navigate(to, options);
    };
  };
}
