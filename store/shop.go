package store

import (
	"context"
	"database/sql"
	"encoding/json"
	"errors"
	"fmt"

	"github.com/jmoiron/sqlx"

	"yellowparcel/core/plan"
)

// Shop is the stored shop with its version.
type Shop struct {
	Version int64
	Shop    plan.Shop
}

// Shop returns the shop; ErrMissing before the first one was stored.
func (s *Store) Shop(ctx context.Context) (Shop, error) {
	return readShop(ctx, s.db)
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
	shop := Shop{Version: row.Version}
	if err := json.Unmarshal([]byte(row.Body), &shop.Shop); err != nil {
		return Shop{}, fmt.Errorf("the stored shop cannot be read: %w", err)
	}
	return shop, nil
}

// SaveShop stores the shop that was changed from the given version; version 0
// stores the first. When the stored one has another version it is left alone,
// and returned with ErrChanged.
func (s *Store) SaveShop(ctx context.Context, from int64, shop plan.Shop) (Shop, error) {
	body, err := json.Marshal(shop)
	if err != nil {
		return Shop{}, err
	}
	var result Shop
	err = s.within(ctx, func(tx *sqlx.Tx) error {
		now, err := readShop(ctx, tx)
		if err != nil && !errors.Is(err, ErrMissing) {
			return err
		}
		if result = now; now.Version != from {
			return ErrChanged
		}
		_, err = tx.ExecContext(ctx, `INSERT INTO shop (id, version, body, changed) VALUES (1, 1, ?, ?)
			ON CONFLICT (id) DO UPDATE SET version = version + 1, body = excluded.body, changed = excluded.changed`, string(body), s.stamp())
		result = Shop{from + 1, shop}
		return err
	})
	return result, err
}

// Seed fills an empty database with a first shop and jobs, all or nothing; it
// does nothing when there is a shop already.
func (s *Store) Seed(ctx context.Context, shop plan.Shop, jobs []plan.Job) error {
	if _, err := s.Shop(ctx); !errors.Is(err, ErrMissing) {
		return err
	}
	body, err := json.Marshal(shop)
	if err != nil {
		return err
	}
	return s.within(ctx, func(tx *sqlx.Tx) error {
		for _, j := range jobs {
			if _, err := s.addJob(ctx, tx, j); err != nil {
				return err
			}
		}
		_, err := tx.ExecContext(ctx, "INSERT INTO shop (id, version, body, changed) VALUES (1, 1, ?, ?)", string(body), s.stamp())
		return err
	})
}
