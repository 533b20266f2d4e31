package store

import (
	"context"
	"database/sql"
	"encoding/json"
	"errors"
	"fmt"
	"reflect"
	"slices"

	"github.com/jmoiron/sqlx"

	"yellowparcel/core/job"
)

// Shop is the stored shop with its version.
type Shop struct {
	Version int64
	Shop    job.Shop

	body string // as stored
}

// Shop returns the shop; ErrMissing before the first one was stored. It is read once
// a version, and not to be written to.
func (s *Store) Shop(ctx context.Context) (Shop, error) {
	var version int64
	if err := s.aside.GetContext(ctx, &version, "SELECT version FROM shop WHERE id = 1"); err != nil {
		if errors.Is(err, sql.ErrNoRows) {
			return Shop{}, ErrMissing
		}
		return Shop{}, err
	}
	if read := s.shop.Load(); read != nil && read.Version == version {
		return *read, nil
	}
	shop, err := readShop(ctx, s.aside)
	if err == nil {
		s.shop.Store(&shop)
	}
	return shop, err
}

func readShop(ctx context.Context, q sqlx.QueryerContext) (Shop, error) {
	var row struct {
		Version int64  `db:"version"`
		Body    string `db:"body"`
	}
	err := sqlx.GetContext(ctx, q, &row, "SELECT version, body FROM shop WHERE id = 1")
	if errors.Is(err, sql.ErrNoRows) {
		return Shop{}, ErrMissing
	}
	if err != nil {
		return Shop{}, err
	}
	shop := Shop{Version: row.Version, body: row.Body}
	if err := json.Unmarshal([]byte(row.Body), &shop.Shop); err != nil {
		return Shop{}, fmt.Errorf("the stored shop cannot be read: %w", err)
	}
	return shop, nil
}

// ChangeShop stores what change makes of the shop as it is stored at that moment,
// all in one act; version 0 is a shop that was not stored yet. What the stored one
// holds and this program does not know is kept. When change refuses nothing is
// stored, and its error is returned with the shop as it is. An act with a name that was done already is
// not done again: ErrDone, with the shop as it is.
func (s *Store) ChangeShop(ctx context.Context, act string, change func(Shop) (job.Shop, error)) (Shop, error) {
	var result Shop
	err := s.within(ctx, func(tx *sqlx.Tx) error {
		now, err := readShop(ctx, tx)
		if err != nil && !errors.Is(err, ErrMissing) {
			return err
		}
		result = now
		if _, done, err := doneAs(ctx, tx, act); err != nil {
			return err
		} else if done {
			return ErrDone
		}
		shop, err := change(now)
		if err != nil {
			return err
		}
		body, err := json.Marshal(shop)
		if err != nil {
			return err
		}
		body = keepUnknown([]byte(now.body), body, reflect.TypeFor[job.Shop]())
		_, err = tx.ExecContext(ctx, `INSERT INTO shop (id, version, body, changed) VALUES (1, 1, ?, ?)
			ON CONFLICT (id) DO UPDATE SET version = version + 1, body = excluded.body, changed = excluded.changed`, string(body), s.stamp())
		if err != nil {
			return err
		}
		result = Shop{now.Version + 1, shop, string(body)}
		if err := remember(ctx, tx, act, "shop", result.Version, s.stamp()); err != nil {
			return err
		}
		return sealShop(ctx, tx)
	})
	return result, err
}

// ErrDone says that an act of that name was done already.
var ErrDone = errors.New("that act is done already")

// Seed fills an empty database with a first shop and jobs, all or nothing; it
// does nothing when there is a shop already.
func (s *Store) Seed(ctx context.Context, shop job.Shop, jobs []job.Job) error {
	if _, err := s.Shop(ctx); !errors.Is(err, ErrMissing) {
		return err
	}
	body, err := json.Marshal(shop)
	if err != nil {
		return err
	}
	err = s.within(ctx, func(tx *sqlx.Tx) error {
		for _, j := range slices.Backward(jobs) { // the first one is the newest
			if _, err := s.addJob(ctx, tx, NewID(), j, Line{}); err != nil {
				return err
			}
		}
		if _, err := tx.ExecContext(ctx, "INSERT INTO shop (id, version, body, changed) VALUES (1, 1, ?, ?)", string(body), s.stamp()); err != nil {
			return err
		}
		return sealShop(ctx, tx)
	})
	if err != nil {
		return err
	}
	return s.place.begin()
}
