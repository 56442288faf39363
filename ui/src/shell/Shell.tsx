import { Suspense } from "react";
import { ErrorBoundary } from "react-error-boundary";
import { NavLink, Outlet, useLocation, useNavigate } from "react-router";
import styled from "styled-components";
import { Button } from "../kit/Button";
import { PHONE } from "../kit/tokens";
import { useBenchLight } from "../kit/useBenchLight";
import { useHotkeys } from "../kit/useHotkeys";
import { Lost } from "./Lost";
import { OutboxFaults } from "./OutboxFaults";
import { OutboxStatus } from "./OutboxStatus";

const Bar = styled.header`
  display: flex;
  align-items: center;
  gap: 1.25rem;
  padding: 0.4rem 1.5rem;
  background: ${(p) => p.theme.panel};
  border-bottom: 1px solid ${(p) => p.theme.line};
  nav {
    display: flex;
    gap: 0.25rem;
    flex: 1;
  }
  nav a {
    display: inline-flex;
    align-items: center;
    min-height: 3rem;
    padding: 0 0.9rem;
    color: ${(p) => p.theme.ink};
    text-decoration: none;
    font-weight: 600;
    border-bottom: 4px solid transparent;
  }
  nav a.active {
    border-bottom-color: ${(p) => p.theme.fresh};
  }
  @media (max-width: 62rem) {
    gap: 0.6rem;
    padding: 0.4rem 0.75rem;
    nav a {
      padding: 0 0.45rem;
    }
    kbd {
      display: none;
    }
  }
  @media ${PHONE} {
    flex-wrap: wrap;
    gap: 0 0.75rem;
    padding: 0.2rem 0.75rem 0;
    justify-content: space-between;
    nav {
      order: 1;
      flex: 1 0 100%;
      gap: 0;
      justify-content: space-between;
    }
    nav a {
      padding: 0 0.15rem;
      font-size: 0.95rem;
    }
  }
`;

const Name = styled(NavLink)`
  display: inline-flex;
  align-items: center;
  gap: 0.6rem;
  min-height: 3rem;
  font-weight: 800;
  font-size: 1.25rem;
  letter-spacing: -0.02em;
  color: ${(p) => p.theme.ink};
  text-decoration: none;
`;

const Skip = styled.a`
  position: absolute;
  left: -100vw;
  &:focus {
    left: 1rem;
    top: 0.5rem;
    background: ${(p) => p.theme.panel};
    padding: 0.7rem 1rem;
    z-index: 2;
  }
`;

export function Shell() {
  const { name, turn } = useBenchLight();
  const navigate = useNavigate();
  const { pathname } = useLocation();
  const lookUp = () => void navigate("/look-up");
  useHotkeys({ "/": lookUp });
  return (
    <>
      <Skip href="#main" data-behind>
        Skip to the work
      </Skip>
      <Bar data-behind>
        <Name to="/">
          <svg width="22" height="28" viewBox="0 0 22 28" aria-hidden focusable="false">
            <path d="M4 2h14v9H4z" fill="none" stroke="currentColor" strokeWidth="2.4" />
            <path d="M11 11v9" stroke="currentColor" strokeWidth="3.4" />
            <circle cx="11" cy="23" r="3.6" fill="currentColor" />
          </svg>
          Sandbag
        </Name>
        <nav aria-label="Main">
          <NavLink to="/" end>
            Bench
          </NavLink>
          <NavLink to="/machines">Machines</NavLink>
          <NavLink to="/shelf">Shelf</NavLink>
          <NavLink to="/sizer">Sizer</NavLink>
          <NavLink to="/practice">Practice</NavLink>
          <NavLink to="/shop">Shop</NavLink>
        </nav>
        <OutboxStatus />
        <Button hotkey="/" onPress={lookUp}>
          Look up
        </Button>
        <Button onPress={turn}>{name === "light" ? "Dark" : "Light"}</Button>
      </Bar>
      <OutboxFaults />
      <div id="main" tabIndex={-1}>
        <ErrorBoundary FallbackComponent={Lost} resetKeys={[pathname]}>
          <Suspense>
            <Outlet />
          </Suspense>
        </ErrorBoundary>
      </div>
    </>
  );
}
